import { BOARD_FACE } from '../places/index.js';
import type { Rule } from './rule.js';

export const boardOffWall: Rule = {
  id: 'board-off-wall',
  severity: 'stop',
  harm: 'broken gear',
  basis: 'outlines of board and wall, in millimetres',
  why: 'A board that hangs over the edge of its wall has nothing to be screwed to.',
  test: ({ design, vehicle, layout }) => {
    const { board } = design;
    if (!board) return [];
    const wall = vehicle.faces.find((f) => f.id === board.face);
    if (!wall || !layout.faces.some((f) => f.id === BOARD_FACE)) return [{ at: { stage: 'places', about: BOARD_FACE }, values: { wall: board.face, over: 0 } }];
    const over = Math.max(-board.u, -board.v, board.u + board.w - wall.w, board.v + board.h - wall.h);
    return over > 0.5 ? [{ at: { stage: 'places', about: BOARD_FACE }, values: { wall: wall.name, over: Math.round(over) } }] : [];
  },
  say: (v) => (v['over'] ? `The board reaches ${v['over']} mm beyond the ${v['wall']}.` : `The board’s wall (${v['wall']}) is not in this vehicle.`),
  fix: () => 'Make it smaller, move it, or choose another wall.',
};
