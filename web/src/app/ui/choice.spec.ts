import { provideZonelessChangeDetection } from '@angular/core';
import { TestBed } from '@angular/core/testing';
import { Choice } from './choice';

describe('a choice of a few', () => {
  it('shows and takes a value of nothing like any other', async () => {
    TestBed.configureTestingModule({ providers: [provideZonelessChangeDetection()] });
    const fixture = TestBed.createComponent<Choice<string | null>>(Choice);
    fixture.componentRef.setInput('label', 'Protected by');
    fixture.componentRef.setInput('of', [null, 'breaker']);
    fixture.componentRef.setInput('words', (v: string | null) => v ?? 'as usual');
    fixture.componentRef.setInput('value', null);
    const taken: (string | null)[] = [];
    fixture.componentInstance.valueChange.subscribe((v) => taken.push(v));
    await fixture.whenStable();
    const page = fixture.nativeElement as HTMLElement;
    const shown = (): string => page.querySelector('nz-select-item')!.textContent!.trim();
    expect(shown()).toBe('as usual');
    for (const words of ['breaker', 'as usual']) {
      page.querySelector<HTMLElement>('.ant-select-selector, nz-select-top-control')!.click();
      await fixture.whenStable();
      [...document.querySelectorAll<HTMLElement>('nz-option-item')].find((o) => o.textContent!.trim() === words)!.click();
      fixture.componentRef.setInput('value', taken.at(-1));
      await fixture.whenStable();
      expect(shown()).toBe(words);
    }
    expect(taken).toEqual(['breaker', null]);
    fixture.destroy();
  });
});
