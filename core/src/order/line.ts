/** One thing to order, with how much of it. */
export interface OrderLine {
  readonly key: string;
  readonly group: 'devices' | 'protection' | 'cable' | 'joints' | 'sundries';
  readonly what: string;
  /** What is looked after again and again; absent: nothing of it. */
  readonly is?: 'lug' | 'plug';
  readonly quantity: number;
  readonly unit: 'pc' | 'm';
  readonly priceEach: number;
  /** Who asks that, as of which day, and the default for planning that it stands for; absent: it is that default. */
  readonly priced?: { readonly from: string; readonly on: string; readonly planned: number };
  readonly kg: number;
  /** What it is for, by run or device. */
  readonly uses: readonly string[];
}

/** Puts a line into a list, with what it is for; alike ones become one. */
export type Add = (line: Omit<OrderLine, 'uses'>, use: string) => void;
