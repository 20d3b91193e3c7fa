import { effect, Injectable, signal } from '@angular/core';

const KEY = 'meridex.night';

/** Day and night view. */
@Injectable({ providedIn: 'root' })
export class ThemeService {
  readonly night = signal(localStorage.getItem(KEY) === 'yes');

  constructor() {
    effect(() => {
      document.documentElement.dataset['view'] = this.night() ? 'night' : 'day';
      localStorage.setItem(KEY, this.night() ? 'yes' : 'no');
    });
  }

  toggle(): void {
    this.night.update((n) => !n);
  }
}
