import { SHIPPED_CATALOGUE } from '../catalogue/index.js';
import { assessJob } from '../couplings/index.js';
import { blankDesign, isJoined, vehicleIn, type Design } from '../design/index.js';
import { doCommands, type Asked } from './index.js';

const after = (design: Design, ...all: Asked[]): Design => {
  const done = doCommands(design, all);
  if (!done.ok) throw new Error(done.message);
  return done.design;
};

describe('a bank beside the one in use', () => {
  const shed = after(
    blankDesign('Nobody'),
    { do: 'addBank', with: { id: 'shed', name: 'tools', part: 'bat-agm-120', count: 2 } },
    { do: 'addConverter', with: { id: 'second', part: 'dcdc-25-dual', bank: 'shed' } },
    { do: 'addArray', with: { id: 'side', part: 'pv-160', into: 'second' } },
    { do: 'addArray', with: { id: 'out', part: 'pv-120-fold', portable: { regulated: true }, into: 'shed' } },
    { do: 'addConverter', with: { id: 'plugged', part: 'mc-15', bank: 'shed' } },
  );

  it('has a rig of its own in the same body, with all that charges it', () => {
    expect(Object.keys(shed.banks)).toEqual(['house']);
    expect(Object.keys(shed.converters)).toEqual(['charger']);
    expect(shed.arrays).toEqual({});
    const rig = shed.vehicles['shed']!;
    expect([rig.name, rig.within, rig.brief.vehicleKind]).toEqual(['tools', 'own', shed.brief.vehicleKind]);
    expect(rig.banks['house']!.batteries['shed']!.count).toBe(2);
    expect(Object.values(rig.converters).map((c) => [c.part, c.bank])).toEqual([
      ['dcdc-25-dual', 'house'],
      ['mc-15', 'house'],
    ]);
    expect([rig.arrays['side']!.into, rig.arrays['out']!.into]).toEqual([
      { in: 'converters', id: 'second' },
      { in: 'banks', id: 'house' },
    ]);
    expect(rig.converters['plugged']!.inlet! in rig.inlets).toBeTrue();
  });

  it('is sized, simulated and found nothing wrong with that would not be with the first', () => {
    const all = assessJob(shed, SHIPPED_CATALOGUE);
    expect(all.map((v) => v.id)).toEqual(['own', 'shed']);
    const { runs, findings } = all[1]!.assessment!;
    expect(runs.map((r) => r.spec.role)).toContain('charger feed');
    expect(runs.every((r) => r.ok)).toBeTrue();
    expect(findings.filter((f) => f.rule === 'not-carried')).toEqual([]);
  });

  it('takes its link along, and is set apart in another vehicle of the job as in the first', () => {
    const job = after(
      blankDesign('Nobody'),
      { do: 'addVehicle', with: { id: 'van', vehicleKind: 'van' } },
      { do: 'addBank', with: { id: 'fridges', part: 'bat-agm-120' }, in: 'van' },
      { do: 'addLink', with: { id: 'tie', part: 'iso-140', bank: 'fridges' }, in: 'van' },
    );
    expect(job.vehicles['fridges']!.within).toBe('van');
    expect(job.vehicles['van']!.links).toEqual({});
    expect(job.vehicles['fridges']!.links['tie']!.bank).toBe('house');
    expect(vehicleIn(job, 'fridges').brief.vehicleKind).toBe('van');
  });

  it('stays where it is behind a selector', () => {
    const chosen = after(blankDesign('Nobody'), { do: 'addBank', with: { id: 'spare', part: 'bat-agm-120', selector: 'switch' } });
    expect([isJoined(chosen), Object.keys(chosen.banks)]).toEqual([false, ['house', 'spare']]);
  });

  it('is fed by the one that stays, or feeds it, over a lead in the same body', () => {
    const fed = after(
      blankDesign('Nobody'),
      { do: 'addBank', with: { id: 'spare', part: 'bat-agm-120' } },
      { do: 'addConverter', with: { id: 'step', part: 'dcdc-25-dual', bank: 'spare', from: 'house' } },
    );
    const [lead] = Object.values(fed.couplings);
    expect([lead!.from, lead!.to, lead!.carries]).toEqual(['own', 'spare', 'dc']);
    expect(fed.vehicles['spare']!.converters['step']!.from).toEqual({ in: 'inlets', id: lead!.inlet! });
    expect(fed.vehicles['spare']!.inlets[lead!.inlet!]!.dc).toEqual({ nominalV: 12, mostA: 50, leadM: 0 });
    expect(fed.loads[lead!.outlet!]!.when).toEqual({ at: 'hours', spans: [[0, 24]] });
    const back = after(
      blankDesign('Nobody'),
      { do: 'addBank', with: { id: 'spare', part: 'bat-agm-120' } },
      { do: 'addConverter', with: { id: 'step', part: 'dcdc-25-dual', from: 'spare' } },
      // Two banks do not feed each other.
      { do: 'addConverter', with: { id: 'again', part: 'dcdc-25-dual', bank: 'spare', from: 'house' } },
    );
    expect(Object.values(back.couplings).map((c) => [c.from, c.to])).toEqual([['spare', 'own']]);
    expect(back.vehicles['spare']!.converters['again']!.from).toBeNull();
  });
});
