import { provideZonelessChangeDetection } from '@angular/core';
import { TestBed } from '@angular/core/testing';
import { LOAD_LIBRARY } from '@meridex/core';
import { LibraryDrawer, type Picked } from './library-drawer';

describe('the library of loads', () => {
  const picked: Picked[] = [];
  async function open() {
    TestBed.configureTestingModule({ providers: [provideZonelessChangeDetection()] });
    const fixture = TestBed.createComponent(LibraryDrawer);
    fixture.componentRef.setInput('shown', true);
    picked.length = 0;
    fixture.componentInstance.picked.subscribe((p) => picked.push(p));
    await fixture.whenStable();
    const body = document.querySelector<HTMLElement>('.ant-drawer-body')!;
    const type = async (label: string, text: string): Promise<void> => {
      const field = body.querySelector<HTMLInputElement>(`input[aria-label="${label}"]`)!;
      field.value = text;
      field.dispatchEvent(new Event('input', { bubbles: true }));
      await fixture.whenStable();
    };
    return { body, type };
  }
  afterEach(() => document.querySelectorAll('.cdk-overlay-container').forEach((e) => e.remove()));

  it('shows every appliance on its shelf, with why its figures are so', async () => {
    const { body } = await open();
    expect(body.querySelectorAll('.item').length).toBe(LOAD_LIBRARY.length);
    expect(body.textContent).toContain('33 % on at 25 °C');
  });
  it('finds by name, shelf or note, and says when there is nothing', async () => {
    const { body, type } = await open();
    await type('Find a load', 'freezer');
    expect([...body.querySelectorAll('.item b')].map((b) => b.textContent)).toEqual(['compressor freezer']);
    await type('Find a load', 'insects');
    expect(body.querySelectorAll('.item').length).toBe(1);
    await type('Find a load', 'time machine');
    expect(body.textContent).toContain('Nothing by that name');
  });
  it('hands on what was added with the size that was typed, and refuses a fridge of a thousand litres', async () => {
    const { body, type } = await open();
    body.querySelector<HTMLElement>('[aria-label="Add compressor fridge"]')!.click();
    await type('Volume of compressor fridge', '1000');
    expect(body.querySelector('[role=alert]')!.textContent).toContain('from 10 to 300');
    await type('Volume of compressor fridge', '90');
    body.querySelector<HTMLElement>('[aria-label="Add compressor fridge"]')!.click();
    body.querySelector<HTMLElement>('[aria-label="Add cabin fan"]')!.click();
    expect(picked).toEqual([
      { id: 'fridge', size: 50 },
      { id: 'fridge', size: 90 },
      { id: 'fan', size: null },
    ]);
  });
});
