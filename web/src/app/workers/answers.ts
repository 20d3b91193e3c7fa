import {
  applyTalk,
  type Design,
  type Failure,
  type Helps,
  type PlaceOffer,
  SHIPPED_CATALOGUE,
  simulateWhatIf,
  singleFailures,
  suggestPlaces,
  sunWays,
  type SunWay,
  type SupplyDraft,
  type Talk,
  threeDrafts,
  type TripResult,
  type WhatIf,
  whatHelps,
} from '@meridex/core';

/** What can be asked about a design, beyond its assessment. */
export type OutlookAsk =
  | { readonly what: 'drafts'; readonly design: Design }
  | { readonly what: 'talk'; readonly design: Design; readonly talk: Talk }
  | { readonly what: 'helps'; readonly design: Design }
  | { readonly what: 'failures'; readonly design: Design }
  | { readonly what: 'sun ways'; readonly design: Design }
  | { readonly what: 'places'; readonly design: Design; readonly gear: string }
  | { readonly what: 'what if'; readonly design: Design; readonly change: WhatIf };

export interface OutlookAnswers {
  readonly drafts: readonly SupplyDraft[];
  readonly talk: readonly SupplyDraft[];
  readonly helps: Helps | null;
  readonly failures: readonly Failure[];
  readonly 'sun ways': readonly SunWay[];
  readonly places: readonly PlaceOffer[];
  readonly 'what if': TripResult | null;
}

/** Works out an answer: in the worker, and at once in specs. */
export function answerOutlook(ask: OutlookAsk): OutlookAnswers[OutlookAsk['what']] {
  switch (ask.what) {
    case 'drafts':
      return threeDrafts(ask.design, SHIPPED_CATALOGUE);
    case 'talk':
      return threeDrafts(applyTalk(ask.design, ask.talk), SHIPPED_CATALOGUE);
    case 'helps':
      return whatHelps(ask.design, SHIPPED_CATALOGUE);
    case 'failures':
      return singleFailures(ask.design, SHIPPED_CATALOGUE);
    case 'sun ways':
      return sunWays(ask.design, SHIPPED_CATALOGUE);
    case 'places':
      return suggestPlaces(ask.design, SHIPPED_CATALOGUE, ask.gear);
    case 'what if':
      return simulateWhatIf(ask.design, SHIPPED_CATALOGUE, ask.change);
  }
}
