/** One piece of cable to cut. */
export interface Cut {
  /** Number of its run; null: the bond of the house negative, which is none, or a multi-core, which is of several. */
  readonly run: number | null;
  readonly name: string;
  readonly size: string;
  /** Copper of one core, mm², and how many lie under one sheath. */
  readonly areaMm2: number;
  readonly cores: number;
  /** Of a multi-core all of its cores at once. */
  readonly lead: 'feed' | 'return' | 'cores';
  readonly colour: 'red' | 'black' | 'sheathed';
  readonly lengthM: number;
  readonly lugs: string;
  readonly label: string;
}
