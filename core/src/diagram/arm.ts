import type { CircuitState } from '../circuit/index.js';
import type { DiagramNode } from './element.js';
import type { Arm } from './symbols.js';

type Turned = Pick<CircuitState, 'mainSwitch' | 'disconnect' | 'bank' | 'charges'>;

/** How a switch, a disconnect or a selector of the diagram stands in a state; null: it is none, or moves by itself. */
export function armIn({ id: of, symbol }: Pick<DiagramNode, 'id' | 'symbol'>, state: Turned): Arm | null {
  const inUse = state.bank === 'second' ? 2 : 1;
  if (symbol === 'charging selector') return state.charges === 'the bank in use' ? inUse : inUse === 1 ? 2 : 1;
  if (symbol === 'selector') return state.mainSwitch === 'open' ? 'open' : inUse;
  if (of === 'switch') return state.mainSwitch;
  return of === 'disconnect' ? state.disconnect : null;
}
