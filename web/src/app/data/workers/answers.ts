import {
  applyIntake,
  assess,
  buildPlan,
  type CalendarPlan,
  cannotQuote,
  type BuildPlan,
  type FitStep,
  circuitPlan,
  type CircuitState,
  isolationMap,
  type IsolationMap,
  type Design,
  difference,
  type Difference,
  type Failure,
  faultBook,
  type FaultBook,
  hideFault,
  type Known,
  type Level,
  type Riddle,
  type Search,
  searchFault,
  assessJob,
  type JoinedResult,
  type Order,
  type OrderLine,
  orderOfJob,
  joinedTripOf,
  type ManualOverride,
  manualOverrides,
  type Match,
  matchesOf,
  type NoState,
  type Helps,
  type PlaceOffer,
  planCalendar,
  type PriceItem,
  type Quote,
  quoteOf,
  type Saving,
  savings,
  selectivePairs,
  type SelectivePair,
  catalogueOf,
  type ShopJob,
  type ShopWeek,
  simulateWhatIf,
  singleFailures,
  suggestPlaces,
  stateInJob,
  type StateFigures,
  sunWays,
  type SunWay,
  type SupplyDraft,
  sweep,
  type Sweep,
  type Intake,
  type Patch,
  testPlan,
  type TestPlan,
  threeDrafts,
  type Tier,
  type TripResult,
  type WhatIf,
  whatHelps,
  whatWouldChange,
} from '@meridex/core';

/** What can be asked about a design, beyond its assessment. */
export type AnalysisAsk =
  | { readonly what: 'drafts'; readonly design: Design }
  | { readonly what: 'intake'; readonly design: Design; readonly intake: Intake }
  | { readonly what: 'helps'; readonly design: Design }
  | { readonly what: 'failures'; readonly design: Design }
  | { readonly what: 'sun ways'; readonly design: Design }
  | { readonly what: 'places'; readonly design: Design; readonly gear: string }
  | { readonly what: 'state'; readonly design: Design; readonly vehicle: string; readonly state: CircuitState }
  | { readonly what: 'protection'; readonly design: Design }
  | { readonly what: 'kept'; readonly design: Design }
  | { readonly what: 'joined trip'; readonly design: Design }
  | { readonly what: 'whole order'; readonly design: Design }
  | { readonly what: 'prices'; readonly lines: readonly OrderLine[]; readonly items: readonly PriceItem[]; readonly chosen: Readonly<Record<string, string>> }
  | { readonly what: 'quote'; readonly design: Design; readonly tiers: readonly Tier[] }
  | { readonly what: 'week'; readonly week: ShopWeek; readonly jobs: readonly ShopJob[]; readonly from: string }
  | { readonly what: 'build plan'; readonly steps: readonly FitStep[] }
  | { readonly what: 'fault book'; readonly design: Design }
  | { readonly what: 'fault search'; readonly design: Design; readonly known: Known }
  | { readonly what: 'riddle'; readonly design: Design; readonly seed: number; readonly level: Level }
  | { readonly what: 'difference'; readonly before: Design; readonly after: Design; readonly vehicle: string }
  | { readonly what: 'would change'; readonly job: Design; readonly vehicle: string; readonly patch: Patch }
  | { readonly what: 'test plan'; readonly design: Design }
  | { readonly what: 'what if'; readonly design: Design; readonly change: WhatIf };

/** What is known of a circuit beyond its runs: which fuse opens first, what stays live, each run's worst state. */
export interface ProtectionAnswer {
  readonly pairs: readonly SelectivePair[];
  readonly dead: IsolationMap;
  readonly sweep: Sweep;
}

/** A quote of a job, and why it cannot be sent as it is; null: it can. */
export interface QuoteAnswer {
  readonly quote: Quote;
  readonly cannot: string | null;
}

/** The bay's week, and what would save what is late in it. */
export interface WeekAnswer {
  readonly plan: CalendarPlan;
  readonly savings: readonly Saving[];
}

export interface AnalysisAnswers {
  readonly drafts: readonly SupplyDraft[];
  readonly intake: readonly SupplyDraft[];
  readonly helps: Helps | null;
  readonly failures: readonly Failure[];
  readonly 'sun ways': readonly SunWay[];
  readonly places: readonly PlaceOffer[];
  readonly state: StateFigures | NoState | null;
  readonly protection: ProtectionAnswer | null;
  readonly kept: readonly ManualOverride[];
  readonly 'joined trip': JoinedResult | null;
  readonly 'whole order': Order;
  readonly prices: readonly Match[];
  readonly quote: QuoteAnswer;
  readonly week: WeekAnswer;
  readonly 'build plan': BuildPlan;
  readonly 'fault book': FaultBook | null;
  readonly 'fault search': Search | null;
  readonly riddle: Riddle | null;
  readonly difference: Difference;
  readonly 'would change': Difference | string;
  readonly 'test plan': TestPlan | null;
  readonly 'what if': TripResult | null;
}

function protectionOf(design: Design): ProtectionAnswer | null {
  const a = assess(design, catalogueOf(design));
  const plan = circuitPlan(design, catalogueOf(design), a);
  return plan && { pairs: selectivePairs(a.runs), dead: isolationMap(plan), sweep: sweep(plan) };
}

/** The book of the last design asked about: reading after reading is of the same one. */
let last: { readonly of: string; readonly book: FaultBook | null } | null = null;

function bookOf(design: Design): FaultBook | null {
  const of = JSON.stringify(design);
  if (last?.of !== of) last = { of, book: faultBook(design, catalogueOf(design)) };
  return last.book;
}

/** Works out an answer: in the worker, and at once in specs. */
export function answerAnalysis(ask: AnalysisAsk): AnalysisAnswers[AnalysisAsk['what']] {
  switch (ask.what) {
    case 'drafts':
      return threeDrafts(ask.design, catalogueOf(ask.design));
    case 'intake':
      return threeDrafts(applyIntake(ask.design, ask.intake), catalogueOf(ask.design));
    case 'helps':
      return whatHelps(ask.design, catalogueOf(ask.design));
    case 'failures':
      return singleFailures(ask.design, catalogueOf(ask.design));
    case 'sun ways':
      return sunWays(ask.design, catalogueOf(ask.design));
    case 'places':
      return suggestPlaces(ask.design, catalogueOf(ask.design), ask.gear);
    case 'state':
      return stateInJob(ask.design, ask.vehicle, catalogueOf(ask.design), ask.state);
    case 'protection':
      return protectionOf(ask.design);
    case 'kept':
      return manualOverrides(ask.design, catalogueOf(ask.design));
    case 'joined trip':
      return joinedTripOf(ask.design, catalogueOf(ask.design));
    case 'whole order':
      return orderOfJob(assessJob(ask.design, catalogueOf(ask.design)));
    case 'prices':
      return matchesOf(ask.lines, ask.items, ask.chosen);
    case 'quote': {
      const catalogue = catalogueOf(ask.design);
      return { quote: quoteOf(ask.design, catalogue, ask.tiers), cannot: cannotQuote(assessJob(ask.design, catalogue)) };
    }
    case 'week': {
      const plan = planCalendar(ask.week, ask.jobs, ask.from);
      return { plan, savings: savings(ask.week, ask.jobs, ask.from, plan) };
    }
    case 'build plan':
      return buildPlan(ask.steps);
    case 'fault book':
      return bookOf(ask.design);
    case 'fault search': {
      const book = bookOf(ask.design);
      return book && searchFault(book, ask.known);
    }
    case 'riddle': {
      const book = bookOf(ask.design);
      return book && hideFault(book, ask.seed, ask.level);
    }
    case 'difference':
      return difference(ask.before, ask.after, ask.vehicle);
    case 'would change':
      return whatWouldChange(ask.job, ask.vehicle, ask.patch);
    case 'test plan':
      return testPlan(ask.design, catalogueOf(ask.design));
    case 'what if':
      return simulateWhatIf(ask.design, catalogueOf(ask.design), ask.change);
  }
}
