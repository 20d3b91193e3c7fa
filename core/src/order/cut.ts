/** One piece of cable to cut. */
export interface Cut {
  /** Number of its run; null: the bond of the house negative, which is none. */
  readonly run: number | null;
  readonly name: string;
  readonly size: string;
  readonly lead: 'feed' | 'return';
  readonly colour: 'red' | 'black';
  readonly lengthM: number;
  readonly lugs: string;
  readonly label: string;
}
