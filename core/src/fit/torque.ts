/** Torque by stud, N·m, unless the maker says (soft battery inserts are often lower). */
export const TORQUE_NM = { M4: 1.5, M5: 3, M6: 5, M8: 12, M10: 20 } as const;
