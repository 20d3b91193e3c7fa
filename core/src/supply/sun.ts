import suncalc from 'suncalc';

/** Panel model's constants: kelvin of cell rise per W/m², power per kelvin, soiling and wiring. */
const PANEL = { riseKPerWm2: 0.031, perK: -0.0038, soiling: 0.95, wiring: 0.98 } as const;
/** Yield of an MPPT controller. */
export const MPPT_YIELD = 0.97;
/** V_oc of the coldest morning: rise per kelvin below 25 °C. */
const VOC_PER_K = 0.0028;
const VMP_PER_K = -0.004;

export interface PanelConditions {
  readonly elevationDeg: number;
  /** Share of the clear-sky light that comes through, 0–1. */
  readonly clearness: number;
  readonly shade: number;
  readonly ratedW: number;
  readonly ambientC: number;
}

/** Clear-sky global irradiance on the flat, W/m² (Haurwitz). 0 with the sun at or below the horizon. */
export function clearSkyWm2(elevationDeg: number): number {
  const sine = Math.sin((elevationDeg * Math.PI) / 180);
  return sine <= 0 ? 0 : 1098 * sine * Math.exp(-0.059 / sine);
}

/**
 * Output of a flat panel, W, with its cells warmed by the light.
 * @example panelPowerW({ elevationDeg: 44.77, clearness: 0.78, shade: 0, ratedW: 180, ambientC: 14.6 }) // 90.554225
 */
export function panelPowerW(c: PanelConditions): number {
  const light = clearSkyWm2(c.elevationDeg) * c.clearness * (1 - c.shade);
  const cellC = c.ambientC + PANEL.riseKPerWm2 * light;
  const atCell = 1 + PANEL.perK * (cellC - 25);
  return Math.max(0, c.ratedW * (light / 1000) * atCell * PANEL.soiling * PANEL.wiring);
}

/** Best volts of a panel with its cells at so many degrees, V. @example vmpAtC(20.9, 37.4) // 19.86336 */
export const vmpAtC = (vmpV: number, cellC: number): number => vmpV * (1 + VMP_PER_K * (cellC - 25));

/** Share of an MPPT's yield that a PWM controller loses with these panels. @example pwmLossFraction(20.9, 37.4, 12.94) // 0.328401 */
export function pwmLossFraction(vmpV: number, cellC: number, batteryV: number): number {
  return Math.max(0, 1 - batteryV / (MPPT_YIELD * vmpAtC(vmpV, cellC)));
}

/** Open-circuit volts of a string on its coldest morning. @example coldestOpenV(22.5, 1, -5) // 24.39 */
export function coldestOpenV(vocV: number, inSeries: number, coldestC: number): number {
  return vocV * inSeries * (1 + VOC_PER_K * (25 - coldestC));
}

export interface SunPlace {
  /** Latitude, degrees, south negative. */
  readonly latitudeDeg: number;
  /** Month 1–12; the 15th stands for it. */
  readonly month: number;
  readonly ambientC: number;
}

/** Watts of an array in each hour of a clear mid-month day, local sun time, from the sun's height at the half hour. */
export function clearDayWatts(ratedW: number, place: SunPlace, shade = 0): number[] {
  return Array.from({ length: 24 }, (_, hour) => {
    const at = new Date(Date.UTC(2025, place.month - 1, 15, hour, 30));
    const elevationDeg = (suncalc.getPosition(at, place.latitudeDeg, 0).altitude * 180) / Math.PI;
    return panelPowerW({ elevationDeg, clearness: 1, shade, ratedW, ambientC: place.ambientC });
  });
}
