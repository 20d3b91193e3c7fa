import { HttpTestingController } from '@angular/common/http/testing';
import { Component, inject, signal } from '@angular/core';
import { TestBed } from '@angular/core/testing';
import { readOwnPart } from '@meridex/core';
import { DesignService } from '../data/design.service';
import { OwnPartsService } from '../data/own-parts.service';
import { onBench } from '../testing/bench';
import { PartSelect } from './part-select';

@Component({ imports: [PartSelect], template: `<mx-part kind="battery" label="House battery" [value]="value()" (valueChange)="value.set($event)" />` })
class Host {
  readonly value = signal<string | null>('bat-lfp-200');
  readonly designs = inject(DesignService);
}

const button = (words: string): HTMLElement => [...document.querySelectorAll<HTMLElement>('button')].find((b) => b.textContent!.trim() === words)!;
const open = (e: HTMLElement): void => e.querySelector<HTMLElement>('nz-select')!.click();
const attic = readOwnPart({ kind: 'battery', name: 'attic 135', chemistry: 'agm', capacityAh: 135 });

describe('a part that is chosen', () => {
  it('is typed where no list has it: kept, in the job, and taken', async () => {
    const { element, bench, settle, type, fixture } = await onBench(Host, 'vet');
    open(element);
    await settle();
    button('Not in the list: type it here').click();
    await settle();
    const field = (label: string): Element => document.querySelector(`.ant-modal [aria-label="${label}"]`)!;
    await type(field('Name of the part'), 'attic 135');
    await type(field('Capacity of the part'), '135');
    await settle();
    button('Keep it, and offer it in this job').click();
    await settle();
    expect(fixture.componentInstance.value()).toBe('own-attic-135');
    expect(bench.openDesign().parts['own-attic-135']).toEqual(jasmine.objectContaining({ capacityAh: 135 }));
  });

  it('may be one that the workshop keeps: it comes into the job with its data', async () => {
    const { element, bench, settle, fixture } = await onBench(Host, 'vet');
    if (!attic.ok) throw new Error(attic.message);
    TestBed.inject(OwnPartsService).list.set([{ part: attic.part, retired: false, author: 'Ada', at: '2026-11-01' }]);
    open(element);
    await settle();
    const option = [...document.querySelectorAll<HTMLElement>('nz-option-item')].find((o) => o.textContent!.includes('attic 135, the workshop’s own'))!;
    option.click();
    await settle();
    expect(fixture.componentInstance.value()).toBe('own-attic-135');
    expect(bench.openDesign().parts['own-attic-135']).toEqual(attic.part);
    TestBed.inject(HttpTestingController).match(() => true);
  });
});
