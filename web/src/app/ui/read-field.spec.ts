import { Component, provideZonelessChangeDetection, signal } from '@angular/core';
import { type ComponentFixture, TestBed } from '@angular/core/testing';
import { cableSize } from './cable-size';
import { ReadField } from './read-field';

@Component({
  imports: [ReadField],
  template: `<mx-read label="Size" [shown]="shown()" [reader]="reader" (taken)="taken.push($event); shown.set($event + ' mm²')" />`,
})
class Host {
  readonly shown = signal('16 mm²');
  readonly reader = cableSize(300);
  readonly taken: (number | null)[] = [];
}

describe('a field that reads a cable size', () => {
  let fixture: ComponentFixture<Host>;
  const root = (): HTMLElement => fixture.nativeElement as HTMLElement;
  const input = (): HTMLInputElement => root().querySelector('input')!;
  const meanings = (): HTMLButtonElement[] => [...root().querySelectorAll<HTMLButtonElement>('button.meaning')];
  const type = async (text: string): Promise<void> => {
    input().dispatchEvent(new Event('focus'));
    input().value = text;
    input().dispatchEvent(new Event('input'));
    await fixture.whenStable();
  };

  beforeEach(async () => {
    TestBed.configureTestingModule({ providers: [provideZonelessChangeDetection()] });
    fixture = TestBed.createComponent(Host);
    await fixture.whenStable();
  });

  it('takes what has one meaning as it is typed', async () => {
    await type('6 B&S');
    expect(fixture.componentInstance.taken.map((a) => a?.toFixed(1))).toEqual(['13.3']);
    expect(meanings()).toEqual([]);
  });

  it('asks of “25mm” with a button for each meaning, keeps what was typed, and takes the one that is pressed', async () => {
    await type('25mm');
    expect(fixture.componentInstance.taken).toEqual([]);
    expect(input().value).toBe('25mm');
    expect(meanings().map((b) => b.textContent)).toEqual(['25 mm²', jasmine.stringMatching(/^25 mm outside \(about \d+(\.\d)? mm²\)$/)]);
    meanings()[0]!.click();
    await fixture.whenStable();
    expect(fixture.componentInstance.taken).toEqual([25]);
    expect([input().value, root().querySelector('[role=alert]')]).toEqual(['25 mm²', null]);
  });

  it('asks of “70” whether it is mm² or gauge, and offers no gauge that there is not', async () => {
    await type('70');
    expect(root().querySelector('[role=alert]')!.textContent).toContain('“70” may be 70 mm² or a gauge, though there is no 70 B&S');
    expect(meanings().map((b) => b.textContent)).toEqual(['70 mm²']);
    await type('4');
    expect(meanings().map((b) => b.textContent)).toEqual(['4 mm²', '4 B&S']);
  });

  it('says what it accepts of what is no size, with nothing to press', async () => {
    await type('thick');
    expect(root().querySelector('[role=alert]')!.textContent).toContain('is not a cable size');
    expect(meanings()).toEqual([]);
  });
});
