import { type AfterViewChecked, Directive, ElementRef, inject } from '@angular/core';

/** Gives the field inside a select the select's own name, so that a screen reader says it. */
@Directive({ selector: 'nz-select' })
export class NamedSelect implements AfterViewChecked {
  private readonly host = inject<ElementRef<HTMLElement>>(ElementRef).nativeElement;

  ngAfterViewChecked(): void {
    const name = this.host.getAttribute('aria-label');
    const field = this.host.querySelector('input');
    if (name && field && field.getAttribute('aria-label') !== name) field.setAttribute('aria-label', name);
  }
}
