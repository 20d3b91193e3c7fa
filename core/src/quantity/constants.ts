/** Temperature coefficient of copper's resistance at 20 °C, per kelvin (IEC 60228, annex). */
export const COPPER_ALPHA_PER_K = 0.00393;

/** Comparisons of computed against allowed figures forgive this much, so that 3 % is not above 3 %. */
export const COMPARE_SLACK = 1e-9;

/** Specific heat of water, kJ per kg and kelvin. */
export const WATER_KJ_PER_KG_K = 4.186;

/** Reference temperature for tables of resistance, °C. */
export const REFERENCE_C = 20;
