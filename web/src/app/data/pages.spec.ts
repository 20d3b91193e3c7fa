import { ChangeDetectionStrategy, Component, provideZonelessChangeDetection } from '@angular/core';
import { TestBed } from '@angular/core/testing';
import { provideRouter, Router, withPreloading } from '@angular/router';
import { throwError } from 'rxjs';
import { AllWhenWanted, Pages } from './pages';

@Component({ template: '', changeDetection: ChangeDetectionStrategy.OnPush })
class Page {}

describe('the program’s own pages', () => {
  const fetched: string[] = [];
  const page = (path: string) => ({
    path,
    loadComponent: () => {
      fetched.push(path);
      return Promise.resolve(Page);
    },
  });

  beforeEach(() => {
    fetched.length = 0;
    TestBed.configureTestingModule({
      providers: [provideZonelessChangeDetection(), provideRouter([{ path: '', children: [] }, page('a'), page('b'), { path: 'c', children: [page('d')] }], withPreloading(AllWhenWanted))],
    });
  });

  it('are fetched as they are opened, until all are wanted, those inside others too', async () => {
    const pages = TestBed.inject(Pages);
    await TestBed.inject(Router).navigateByUrl('/');
    expect(fetched).toEqual([]);
    expect(await pages.fetchAll()).toBeTrue();
    expect(fetched.sort()).toEqual(['a', 'b', 'd']);
  });
  it('are counted where one does not come', () => {
    const all = TestBed.inject(AllWhenWanted);
    all.wanted = true;
    let went = false;
    all.preload({}, () => throwError(() => new Error('no signal'))).subscribe(() => (went = true));
    expect([went, all.missing]).toEqual([true, 1]);
  });
  it('say so where one could not be fetched, until another opens', async () => {
    const [pages, router] = [TestBed.inject(Pages), TestBed.inject(Router)];
    pages.failed({ error: new TypeError('Failed to fetch dynamically imported module: http://shed/chunk-A.js') });
    expect(pages.trouble()).toContain('not on this device yet');
    await router.navigateByUrl('/a');
    expect(pages.trouble()).toBeNull();
    pages.failed({ error: new Error('a bug of ours') });
    expect(pages.trouble()).toBeNull();
  });
});
