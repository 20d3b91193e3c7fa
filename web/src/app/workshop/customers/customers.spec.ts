import { provideHttpClient } from '@angular/common/http';
import { HttpTestingController, provideHttpClientTesting } from '@angular/common/http/testing';
import { provideZonelessChangeDetection, signal } from '@angular/core';
import { type ComponentFixture, TestBed } from '@angular/core/testing';
import { provideRouter } from '@angular/router';
import type { Customer } from '@meridex/contract';
import { SessionService } from '../../data/session.service';
import { CustomersPage } from './customers';

const job = (id: string, plate: string, openedAt: string) => ({ id, state: 'planning' as const, promisedOn: null, openedAt, vehicleKind: 'van', plate });
const HALL: Customer = {
  id: 'c1',
  name: 'Magpie Hall',
  phone: '',
  email: '',
  address: '',
  note: '',
  jobs: [job('j3', 'mh 01', '2026-11-02T01:00:00Z'), job('j2', 'MH 02', '2026-06-02T01:00:00Z'), job('j1', 'MH 01', '2025-11-02T01:00:00Z')],
};
const HIRE: Customer = { id: 'c2', name: 'Heron Hire', phone: '0000 555 201', email: '', address: '', note: '', jobs: [] };

describe('the customers', () => {
  let http: HttpTestingController;
  let fixture: ComponentFixture<CustomersPage>;
  const page = (): HTMLElement => fixture.nativeElement as HTMLElement;
  const settle = async (): Promise<void> => {
    fixture.detectChanges();
    await fixture.whenStable();
  };
  const field = (name: string): HTMLInputElement => [...page().querySelectorAll('label.field')].find((l) => l.textContent!.includes(name))!.querySelector('input, textarea')!;
  const type = async (name: string, text: string): Promise<void> => {
    field(name).value = text;
    field(name).dispatchEvent(new Event('input'));
    await settle();
  };
  const keep = (): HTMLButtonElement => [...page().querySelectorAll('button')].find((b) => b.textContent === 'Keep it')!;
  const look = async (id: string): Promise<void> => {
    fixture.componentRef.setInput('customerId', id);
    await settle();
  };

  async function open(role = 'owner'): Promise<void> {
    const session = { provide: SessionService, useValue: { person: signal({ name: 'Ada', workshop: 'Shed', role }) } };
    TestBed.configureTestingModule({ providers: [provideZonelessChangeDetection(), provideHttpClient(), provideHttpClientTesting(), provideRouter([]), session] });
    http = TestBed.inject(HttpTestingController);
    fixture = TestBed.createComponent(CustomersPage);
    fixture.detectChanges();
    http.expectOne('/api/customers').flush([HALL, HIRE]);
    await settle();
  }

  it('stand with their vehicles, each with its jobs whatever way the plate was typed', async () => {
    await open();
    expect([...page().querySelectorAll('h3')].map((h) => h.textContent)).toEqual([jasmine.stringContaining('mh 01'), jasmine.stringContaining('MH 02')]);
    expect([...page().querySelectorAll('table')].map((t) => t.querySelectorAll('tbody tr').length)).toEqual([2, 1]);
  });

  it('are found by plate and phone, and it is said when nobody is', async () => {
    await open();
    const find = async (text: string): Promise<string[]> => {
      const box = page().querySelector<HTMLInputElement>('[aria-label="Find a customer"]')!;
      box.value = text;
      box.dispatchEvent(new Event('input'));
      await settle();
      return [...page().querySelectorAll('li')].map((li) => li.textContent!.trim());
    };
    expect(await find('mh 02')).toEqual([jasmine.stringContaining('Magpie Hall')]);
    expect(await find('555 201')).toEqual([jasmine.stringContaining('Heron Hire')]);
    expect(await find('nobody')).toEqual(['Nobody has “nobody” in name, vehicle or contact.']);
  });

  it('keep what is typed of one while another is looked at, and send it trimmed', async () => {
    await open();
    await type('Phone', '0000 555 202 ');
    await look('c2');
    expect(field('Phone').value).toBe('0000 555 201');
    expect(keep().disabled).toBeTrue();
    await look('c1');
    expect(field('Phone').value).toBe('0000 555 202 ');
    keep().click();
    const sent = http.expectOne({ url: '/api/customers/c1', method: 'PUT' });
    expect(sent.request.body).toEqual({ phone: '0000 555 202', email: '', address: '', note: '' });
    sent.flush(null);
    await settle();
    expect(page().querySelector<HTMLAnchorElement>('a[href^="tel:"]')!.textContent).toContain('0000 555 202');
    expect(keep().disabled).toBeTrue();
  });

  it('say what the server has against it, and lose nothing of it', async () => {
    await open();
    await type('Email', 'at the desk');
    keep().click();
    http.expectOne('/api/customers/c1').flush({ message: 'email: an address is accepted' }, { status: 400, statusText: 'no' });
    await settle();
    expect(page().querySelector('[role=alert]')!.textContent).toContain('email: an address is accepted');
    expect(field('Email').value).toBe('at the desk');
  });

  it('are looked at by those who work here, and changed by those who settle jobs', async () => {
    await open('apprentice');
    await type('Phone', '1');
    expect(keep().disabled).toBeTrue();
    expect(page().textContent).toContain('An apprentice may not set a job’s state and day');
  });
});
