import { Disconnect, DISCONNECT } from './disconnect.js';
import { terminalV, type Balance } from './settle.js';

const balance = (change: Partial<Balance>): Balance => ({ loadW: 0, loadA: 0, sunW: 0, sunMaxA: Infinity, chargeA: 0, ...change });

describe('the balance of a step', () => {
  it('rests at the open volts with nothing on', () => expect(terminalV(12.8, 0.01, balance({}))).toBe(12.8));
  it('falls by current times resistance', () => expect(terminalV(12.8, 0.01, balance({ loadA: 20 }))).toBeCloseTo(12.6, 12));
  it('rises with charging', () => expect(terminalV(12.8, 0.01, balance({ chargeA: 20 }))).toBeCloseTo(13, 12));
  it('settles constant power where volts times amps is the power', () => {
    const v = terminalV(12.8, 0.02, balance({ loadW: 300 }));
    expect((v * (12.8 - v)) / 0.02).toBeCloseTo(300, 6);
  });
  it('takes sun as power until its controller is full, then as current', () => {
    const v = terminalV(12.8, 0.01, balance({ sunW: 500, sunMaxA: 10 }));
    expect(v).toBeCloseTo(12.8 + 0.01 * 10, 9);
  });
  it('has no volts where more is asked than the battery can give', () => expect(terminalV(12.8, 0.1, balance({ loadW: 500 }))).toBeNaN());
});

describe('a low-voltage disconnect', () => {
  const watch = (d: Disconnect, v: number, seconds: number, soc = 0.5): void => {
    for (let s = 0; s < seconds; s += 30) d.watch(v, soc, 30);
  };

  it('waits a minute below its volts, without a break', () => {
    const d = new Disconnect(12, 12.8);
    watch(d, 11.9, 30);
    watch(d, 12.1, 30);
    watch(d, 11.9, 30);
    expect(d.isOpen).toBeFalse();
    watch(d, 11.9, 30);
    expect([d.isOpen, d.operations]).toEqual([true, 1]);
  });

  it('stays off ten minutes, whatever the volts', () => {
    const d = new Disconnect(12, 12.8);
    watch(d, 11.5, DISCONNECT.openAfterS);
    watch(d, 13.5, DISCONNECT.offAtLeastS - 30);
    expect(d.isOpen).toBeTrue();
    watch(d, 13.5, 30);
    expect([d.isOpen, d.operations]).toEqual([false, 2]);
  });

  it('closes only after a minute above its volts', () => {
    const d = new Disconnect(12, 12.8);
    watch(d, 11.5, 60);
    watch(d, 12.5, 3600);
    expect(d.isOpen).toBeTrue();
    watch(d, 12.9, 60);
    expect(d.isOpen).toBeFalse();
  });

  it('that a flat battery latched waits for charge as well', () => {
    const d = new Disconnect(12, 12.8);
    d.open(true);
    watch(d, 13.5, 3600, 0.04);
    expect(d.isOpen).toBeTrue();
    watch(d, 13.5, 60, 0.06);
    expect(d.isOpen).toBeFalse();
  });

  it('opened twice is one operation', () => {
    const d = new Disconnect(12, 12.8);
    d.open(false);
    d.open(true);
    expect(d.operations).toBe(1);
  });
});
