/** Waiting times of a low-voltage disconnect, s, and the charge that releases one latched flat. */
export const DISCONNECT = { openAfterS: 60, closeAfterS: 60, offAtLeastS: 600, releaseSoc: 0.05 } as const;

/** A low-voltage disconnect with its timers; a flat battery latches it open. */
export class Disconnect {
  isOpen = false;
  operations = 0;
  private latched = false;
  private belowS = 0;
  private aboveS = 0;
  private offS = 0;

  constructor(
    private readonly openV: number,
    private readonly closeV: number,
  ) {}

  open(latch: boolean): void {
    if (!this.isOpen) this.operations++;
    this.isOpen = true;
    if (latch) this.latched = true;
    this.belowS = this.aboveS = this.offS = 0;
  }

  /** Watches the volts of a step; what it decides acts from the next step. */
  watch(v: number, soc: number, dtS: number): void {
    if (this.latched && soc >= DISCONNECT.releaseSoc) this.latched = false;
    if (!this.isOpen) {
      this.belowS = v < this.openV ? this.belowS + dtS : 0;
      if (this.belowS >= DISCONNECT.openAfterS) this.open(false);
      return;
    }
    this.offS += dtS;
    this.aboveS = v > this.closeV ? this.aboveS + dtS : 0;
    if (this.offS < DISCONNECT.offAtLeastS || this.aboveS < DISCONNECT.closeAfterS || this.latched) return;
    this.isOpen = false;
    this.operations++;
    this.belowS = this.aboveS = this.offS = 0;
  }
}
