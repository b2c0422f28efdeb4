import { total } from '../../ground/index.ts';
import {
  ASH_ACCOUNTS,
  ASH_SINKS,
  ASH_SOURCES,
  CARBON_ACCOUNTS,
  CARBON_SINKS,
  CARBON_SOURCES,
  NITROGEN_ACCOUNTS,
  NITROGEN_SINKS,
  NITROGEN_SOURCES,
  type AshParty,
  type CarbonParty,
  type Element,
  type NitrogenParty,
} from './accounts.ts';
import { FLOW_NAMES, ROUTES, type FlowName } from './flows.ts';

/** The books on one morning: what lies in the asset accounts, and all postings so far, g/m2. */
export interface BalanceSample {
  /** Carbon accounts, then nitrogen accounts, then ash, read from the pools themselves. */
  readonly balances: Float64Array;
  readonly flows: Float64Array;
}

/** An account that holds something: what was there, what came, what went, what is there. */
export interface AssetLine<Account extends string> {
  readonly account: Account;
  readonly openingG: number;
  readonly inG: number;
  readonly outG: number;
  readonly closingG: number;
  /** What passed through it in the period, each posting that did. */
  readonly postings: readonly PostingLine<Account>[];
}

/** One kind of posting of an account: what came in is positive. */
export interface PostingLine<Account extends string> {
  readonly name: FlowName;
  readonly counterparty: Account;
  readonly amountG: number;
}

/** A source or sink: what passed in the period. A source that took something back is negative. */
export interface OutsideLine<Account extends string> {
  readonly account: Account;
  readonly side: 'source' | 'sink';
  readonly amountG: number;
}

export interface Statement<Account extends string = string> {
  readonly element: Element;
  readonly assets: readonly AssetLine<Account>[];
  readonly outside: readonly OutsideLine<Account>[];
  /** Opening balances plus income, and closing balances plus expense; they differ by rounding only. */
  readonly debitG: number;
  readonly creditG: number;
}

const isPosting = (element: Element, side: 'from' | 'to', party: string) => (index: number) =>
  ROUTES[FLOW_NAMES[index]].element === element && ROUTES[FLOW_NAMES[index]][side] === party;

const INDICES = FLOW_NAMES.map((_, index) => index);

function passed(opening: BalanceSample, closing: BalanceSample, isMeant: (index: number) => boolean): number {
  return INDICES.filter(isMeant).reduce((sum, index) => sum + closing.flows[index] - opening.flows[index], 0);
}

function postingsOf<Account extends string>({
  element,
  account,
  opening,
  closing,
}: {
  readonly element: Element;
  readonly account: string;
  readonly opening: BalanceSample;
  readonly closing: BalanceSample;
}): PostingLine<Account>[] {
  return INDICES.flatMap((index) => {
    const name = FLOW_NAMES[index];
    const route = ROUTES[name];
    const amountG = closing.flows[index] - opening.flows[index];
    if (route.element !== element || amountG === 0) return [];
    if (route.to === account) return [{ name, counterparty: route.from as Account, amountG }];
    if (route.from === account) return [{ name, counterparty: route.to as Account, amountG: -amountG }];
    return [];
  });
}

function statement<Account extends string>({
  element,
  accounts,
  sources,
  sinks,
  firstBalance,
  opening,
  closing,
}: {
  readonly element: Element;
  readonly accounts: readonly Account[];
  readonly sources: readonly Account[];
  readonly sinks: readonly Account[];
  readonly firstBalance: number;
  readonly opening: BalanceSample;
  readonly closing: BalanceSample;
}): Statement<Account> {
  const assets = accounts.map((account, i) => ({
    account,
    openingG: opening.balances[firstBalance + i],
    inG: passed(opening, closing, isPosting(element, 'to', account)),
    outG: passed(opening, closing, isPosting(element, 'from', account)),
    closingG: closing.balances[firstBalance + i],
    postings: postingsOf<Account>({ element, account, opening, closing }),
  }));
  const outside = [
    ...sources.map((account) => ({
      account,
      side: 'source' as const,
      amountG: passed(opening, closing, isPosting(element, 'from', account)),
    })),
    ...sinks.map((account) => ({
      account,
      side: 'sink' as const,
      amountG: passed(opening, closing, isPosting(element, 'to', account)),
    })),
  ];
  const through = (side: 'source' | 'sink') =>
    total(outside.filter((line) => line.side === side).map(({ amountG }) => amountG));
  return {
    element,
    assets,
    outside,
    debitG: total(assets.map(({ openingG }) => openingG)) + through('source'),
    creditG: total(assets.map(({ closingG }) => closingG)) + through('sink'),
  };
}

/** Carbon of a period between two mornings, g/m2. */
export const carbonStatement = (opening: BalanceSample, closing: BalanceSample): Statement<CarbonParty> =>
  statement<CarbonParty>({
    element: 'carbon',
    accounts: CARBON_ACCOUNTS,
    sources: CARBON_SOURCES,
    sinks: CARBON_SINKS,
    firstBalance: 0,
    opening,
    closing,
  });

/** Nitrogen of a period between two mornings, g/m2. */
export const nitrogenStatement = (opening: BalanceSample, closing: BalanceSample): Statement<NitrogenParty> =>
  statement<NitrogenParty>({
    element: 'nitrogen',
    accounts: NITROGEN_ACCOUNTS,
    sources: NITROGEN_SOURCES,
    sinks: NITROGEN_SINKS,
    firstBalance: CARBON_ACCOUNTS.length,
    opening,
    closing,
  });

/** Minerals that came with what was laid, of a period between two mornings, g/m2. */
export const ashStatement = (opening: BalanceSample, closing: BalanceSample): Statement<AshParty> =>
  statement<AshParty>({
    element: 'ash',
    accounts: ASH_ACCOUNTS,
    sources: ASH_SOURCES,
    sinks: ASH_SINKS,
    firstBalance: CARBON_ACCOUNTS.length + NITROGEN_ACCOUNTS.length,
    opening,
    closing,
  });
