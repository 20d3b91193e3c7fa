import { Component, provideZonelessChangeDetection, signal } from '@angular/core';
import { type ComponentFixture, TestBed } from '@angular/core/testing';
import { NumberField } from './number-field';

@Component({
  imports: [NumberField],
  template: `<mx-number label="Length" unit="m" [min]="0" [max]="200" [optional]="optional()" [value]="value()" (valueChange)="taken.push($event); value.set($event)" />`,
})
class Host {
  readonly value = signal<number | null>(6.2);
  readonly optional = signal(false);
  readonly taken: (number | null)[] = [];
}

describe('a number field', () => {
  let fixture: ComponentFixture<Host>;
  let input: HTMLInputElement;
  const type = async (text: string): Promise<void> => {
    input.dispatchEvent(new Event('focus'));
    input.value = text;
    input.dispatchEvent(new Event('input'));
    await fixture.whenStable();
  };
  const says = (): string => (fixture.nativeElement as HTMLElement).querySelector('[role=alert]')?.textContent ?? '';

  beforeEach(async () => {
    TestBed.configureTestingModule({ providers: [provideZonelessChangeDetection()] });
    fixture = TestBed.createComponent(Host);
    await fixture.whenStable();
    input = (fixture.nativeElement as HTMLElement).querySelector('input')!;
  });

  it('shows its value and has its label as name', () => expect([input.value, input.getAttribute('aria-label')]).toEqual(['6.2', 'Length']));

  it('says each valid value as it is typed, with comma and unit', async () => {
    await type('6,4 m');
    expect(fixture.componentInstance.taken).toEqual([6.4]);
    expect(says()).toBe('');
  });

  it('keeps what it cannot take, says what is accepted, and changes nothing', async () => {
    await type('12V');
    expect([input.value, fixture.componentInstance.taken.length]).toEqual(['12V', 0]);
    expect(says()).toContain('Length: “12V” is not taken');
    expect(input.getAttribute('aria-invalid')).toBe('true');
  });

  it('does not write under someone’s typing, but takes a value from elsewhere afterwards', async () => {
    await type('7.');
    expect(input.value).toBe('7.');
    input.dispatchEvent(new Event('blur'));
    await fixture.whenStable();
    expect(input.value).toBe('7');
    fixture.componentInstance.value.set(3);
    await fixture.whenStable();
    expect(input.value).toBe('3');
  });

  it('goes back to its value on Escape', async () => {
    await type('abc');
    input.dispatchEvent(new KeyboardEvent('keydown', { key: 'Escape' }));
    await fixture.whenStable();
    expect([input.value, says()]).toEqual(['6.2', '']);
  });

  it('may be empty only where it is optional', async () => {
    await type('');
    expect(says()).toContain('nothing');
    fixture.componentInstance.optional.set(true);
    await fixture.whenStable();
    await type('');
    expect(fixture.componentInstance.taken.at(-1)).toBeNull();
  });
});
