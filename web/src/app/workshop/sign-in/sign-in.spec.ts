import { provideHttpClient } from '@angular/common/http';
import { HttpTestingController, provideHttpClientTesting } from '@angular/common/http/testing';
import { Component, provideZonelessChangeDetection } from '@angular/core';
import { type ComponentFixture, TestBed } from '@angular/core/testing';
import { provideRouter, Router } from '@angular/router';
import { JoinPage } from './join';
import { SignIn } from './sign-in';

@Component({ template: '' })
class Inside {}

const PASSWORD = 'a long enough one';

function begin(): HttpTestingController {
  TestBed.configureTestingModule({ providers: [provideZonelessChangeDetection(), provideHttpClient(), provideHttpClientTesting(), provideRouter([{ path: '**', component: Inside }])] });
  return TestBed.inject(HttpTestingController);
}
const field = (f: ComponentFixture<unknown>, name: string): HTMLInputElement => (f.nativeElement as HTMLElement).querySelector<HTMLInputElement>(`input[name=${name}]`)!;
async function type(f: ComponentFixture<unknown>, name: string, value: string): Promise<void> {
  field(f, name).value = value;
  field(f, name).dispatchEvent(new Event('input'));
  await f.whenStable();
}
async function send(f: ComponentFixture<unknown>): Promise<void> {
  (f.nativeElement as HTMLElement).querySelector('form')!.dispatchEvent(new Event('submit'));
  await f.whenStable();
}
const alert = (f: ComponentFixture<unknown>): string | undefined => (f.nativeElement as HTMLElement).querySelector('[role=alert]')?.textContent?.trim();

describe('the page before one is in', () => {
  async function door(standing: object): Promise<{ readonly f: ComponentFixture<SignIn>; readonly http: HttpTestingController }> {
    const http = begin();
    const f = TestBed.createComponent(SignIn);
    http.expectOne('/api/standing').flush(standing);
    await f.whenStable();
    return { f, http };
  }

  it('shows the demo’s account where it is there, and nobody’s where it is not', async () => {
    const { f } = await door({ empty: false, demo: 'owner@tallowgum.example' });
    expect(field(f, 'email').value).toBe('owner@tallowgum.example');
    TestBed.resetTestingModule();
    const other = await door({ empty: false, demo: null });
    expect(field(other.f, 'email').value).toBe('');
    expect((other.f.nativeElement as HTMLElement).textContent).not.toContain('wirrabel');
  });

  it('makes the first workshop, after it said what is wrong with what was typed', async () => {
    const { f, http } = await door({ empty: true, demo: null });
    await type(f, 'workshop', 'The Shed');
    await type(f, 'name', 'Mia');
    await type(f, 'email', 'mia');
    await type(f, 'password', 'short');
    await send(f);
    expect(alert(f)).toContain('Address to sign in by: an address such as');
    await type(f, 'email', 'mia@shed.example');
    await send(f);
    expect(alert(f)).toBe('Password: 10 letters or more are accepted.');
    await type(f, 'password', PASSWORD);
    await send(f);
    const asked = http.expectOne({ method: 'POST', url: '/api/standing' });
    expect(asked.request.body).toEqual({ workshop: 'The Shed', name: 'Mia', email: 'mia@shed.example', password: PASSWORD });
    asked.flush({ message: 'There is a workshop here already.' }, { status: 409, statusText: 'said' });
    await f.whenStable();
    expect(alert(f)).toBe('There is a workshop here already.');
    expect(field(f, 'workshop').value).toBe('The Shed');
  });
});

describe('an invitation', () => {
  it('says who invites to what, and lets in', async () => {
    const http = begin();
    const f = TestBed.createComponent(JoinPage);
    f.componentRef.setInput('token', 'abc');
    await f.whenStable();
    http.expectOne('/api/invites/abc').flush({ workshop: 'The Shed', role: 'apprentice', by: 'Mia' });
    await f.whenStable();
    expect((f.nativeElement as HTMLElement).textContent).toContain('Mia invites you to The Shed as apprentice.');
    await type(f, 'name', 'Tom');
    await type(f, 'email', 'tom@shed.example');
    await type(f, 'password', PASSWORD);
    await send(f);
    http.expectOne({ method: 'POST', url: '/api/invites/abc' }).flush(null, { status: 201, statusText: 'made' });
    await f.whenStable();
    expect(TestBed.inject(Router).url).toBe('/');
  });
  it('that has run out says so', async () => {
    const http = begin();
    const f = TestBed.createComponent(JoinPage);
    f.componentRef.setInput('token', 'old');
    await f.whenStable();
    http.expectOne('/api/invites/old').flush({ message: 'This invitation has been used or has run out.' }, { status: 404, statusText: 'gone' });
    await f.whenStable();
    expect(alert(f)).toContain('has run out');
  });
});
