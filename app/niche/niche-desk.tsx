import { createContext, type ReactNode, useCallback, useContext, useEffect, useMemo, useState } from 'react';
import { useRevalidator } from 'react-router';
import {
  type Brief,
  counts,
  type Filtered,
  type IndexedRivals,
  indexRivals,
  judge,
  lookedAt,
  type NicheAssumptions,
  type Rival,
  type RivalFilter,
  type SalesCurve,
  type Verdict,
} from '#core/niche/index.ts';
import type { BriefRow } from '#server/niches/briefs.ts';
import type { Moves } from '#server/niches/looks.ts';
import type { OpenedNiche } from '#server/niches/niches.ts';
import type { PhraseRow } from '#server/niches/phrases.ts';
import { isRunning, type Job, useJobs } from '../parts/jobs.tsx';
import { offerUndo } from '../parts/notices.tsx';
import { useRevalidateOnJobs } from '../parts/use-revalidate-on-jobs.ts';
import { importRows } from './import/batches.ts';
import { post, saveOnto } from './post.ts';
import { fetchRivals } from './rivals.ts';
import { type Money, moneyOf } from './show.ts';

/** A look as the page needs it. */
export interface ShownLook {
  day: string;
  source: 'market' | 'own';
  results: number;
  searches: number | null;
  /** Monthly copies of the best sellers on that day. */
  copies: number;
  unread: number;
  categories: { id: string; name: string; count: number }[];
}

export interface GivenNiche {
  niche: OpenedNiche;
  looks: ShownLook[];
  moves: Moves | null;
  assumptions: NicheAssumptions;
  curve: SalesCurve;
  phrases: PhraseRow[];
  briefs: BriefRow[];
  /** Says whether the rivals on the server are others than before. */
  rivalsMark: string;
}

export type RivalMarks = Partial<Pick<Rival, 'hidden' | 'notComparable' | 'watched'>>;

export interface NicheDesk extends GivenNiche {
  /** As the server has them; `assumptions` are those that are tried beside the verdict, if any are. */
  savedAssumptions: NicheAssumptions;
  tryAssumptions(assumptions: NicheAssumptions | null): void;
  /** Null while they are on their way. */
  rivals: Rival[] | null;
  /** The top of a long table, to look at while the rest is on its way. */
  firstRivals: Rival[] | null;
  problem: string;
  indexed: IndexedRivals;
  /** Of the rivals that count, with the workspace's thresholds; null before the first look. */
  verdict: Verdict | null;
  counted: Rival[];
  filter: RivalFilter;
  /** What the filter lets through. */
  filtered: Filtered;
  setFilter(filter: RivalFilter): void;
  mark(ids: string[], marks: RivalMarks, words: string): void;
  /** Loads the rivals anew. */
  reload(): void;
  /** Takes own rows off the table for good. */
  remove(ids: string[]): void;
  jobs: Job[];
  latest: ShownLook | null;
  /** Changes the assumptions from a view that is about something else. @param words what was done, with an undo */
  changeAssumptions(changes: Partial<NicheAssumptions>, words?: string): void;
  /** Changes the first brief, with an undo. @param words what was done */
  changeBrief(changes: Partial<Brief>, words: string): void;
  /** How money of the niche's market is written. */
  money: Money;
}

const Context = createContext<NicheDesk | null>(null);

export function useNiche(): NicheDesk {
  const desk = useContext(Context);
  if (!desk) throw new Error('No niche is open.');
  return desk;
}

const NO_RIVALS: Rival[] = [];
/** While phrases are asked for, the page takes in what came this often. */
const FRESH_MS = 2000;

/** Everything about an open niche: what the server gave, the rivals, and the sums over those that count. */
export function NicheDeskProvider({ children, ...given }: GivenNiche & { children: ReactNode }) {
  const { niche, curve, looks, rivalsMark } = given;
  const [tried, tryAssumptions] = useState<NicheAssumptions | null>(null);
  const assumptions = tried ?? given.assumptions;
  const latest = looks.at(-1) ?? null;
  const { rivals, firstRivals, problem, change, reload, complain } = useRivals(niche.id, curve, rivalsMark);
  const [filter, setFilter] = useState<RivalFilter>({});
  const day = latest?.day ?? '2000-01-01';
  const indexed = useMemo(() => indexRivals(rivals ?? NO_RIVALS, day), [rivals, day]);
  const filtered = useMemo(() => indexed.filterBy(filter), [indexed, filter]);
  const counted = useMemo(() => (rivals ?? NO_RIVALS).filter(counts), [rivals]);
  const verdict = useMemo(
    () =>
      looks.length && rivals
        ? judge({ ...lookedAt(looks, curve, new Date().toISOString()), comparables: counted }, assumptions)
        : null,
    [looks, curve, rivals, counted, assumptions],
  );
  const all = useJobs();
  const jobs = useMemo(() => all.filter(({ nicheId }) => nicheId === niche.id), [all, niche.id]);
  useRevalidateOnJobs(jobs, jobs.some(isRunning) ? FRESH_MS : null);

  const send = useCallback(
    (ids: string[], marks: RivalMarks) => {
      change(ids, marks);
      void post(`/niches/${niche.id}/marks`, { ids, marks }).catch((error: Error) => complain(error.message));
    },
    [change, complain, niche.id],
  );
  const mark = useCallback(
    (ids: string[], marks: RivalMarks, words: string) => {
      // What is on its way would not have the marks.
      if (!rivals) return;
      const those = new Set(ids);
      const before = rivals.filter(({ id }) => those.has(id));
      send(ids, marks);
      // Each gets back the marks that it had: of a mixed selection some had what all have now.
      offerUndo(words, () => {
        for (const [had, group] of groupsBy(before, (rival) =>
          JSON.stringify(Object.keys(marks).map((key) => [key, rival[key as keyof RivalMarks]])),
        ))
          send(
            group.map(({ id }) => id),
            Object.fromEntries(JSON.parse(had) as [string, boolean][]),
          );
      });
    },
    [send, rivals],
  );
  const { revalidate } = useRevalidator();
  const { assumptions: savedAssumptions } = given;
  const changeAssumptions = useCallback(
    (changes: Partial<NicheAssumptions>, words?: string) => {
      const save = async (from: NicheAssumptions, to: NicheAssumptions) => {
        const answer = await saveOnto('/niches/assumptions/save', from, to);
        if (!answer.saved)
          complain(
            'conflict' in answer ? 'The assumptions were changed in another tab. Try again.' : answer.reason,
          );
        await revalidate();
      };
      const safely = (from: NicheAssumptions, to: NicheAssumptions) =>
        void save(from, to).catch(() => complain('The assumptions could not be saved. Try again.'));
      const changed = { ...savedAssumptions, ...changes };
      safely(savedAssumptions, changed);
      if (words) offerUndo(words, () => safely(changed, savedAssumptions));
    },
    [savedAssumptions, complain, revalidate],
  );
  const first = given.briefs[0];
  const changeBrief = useCallback(
    (changes: Partial<Brief>, words: string) => {
      if (!first) return;
      const save = async (from: Brief, to: Brief) => {
        const answer = await saveOnto(`/niches/${niche.id}/briefs/${first.id}`, from, to);
        if (!answer.saved)
          complain(
            'conflict' in answer
              ? 'The brief was changed in another tab. Look at it there, then try again.'
              : answer.reason,
          );
        await revalidate();
      };
      const safely = (from: Brief, to: Brief) =>
        void save(from, to).catch(() => complain('The brief could not be saved. Try again.'));
      const changed = { ...first.brief, ...changes };
      safely(first.brief, changed);
      offerUndo(words, () => safely(changed, first.brief));
    },
    [first, niche.id, complain, revalidate],
  );
  const remove = useCallback(
    (ids: string[]) => {
      const those = new Set(ids);
      const rows = (rivals ?? NO_RIVALS).filter(({ id, source }) => those.has(id) && source === 'own');
      const away = async () => {
        await post(`/niches/${niche.id}/marks`, { ids, remove: true });
        reload();
      };
      const back = async () => {
        await importRows(`/niches/${niche.id}/own`, { table: 'comparables' }, rows);
        reload();
      };
      const quietly = (work: () => Promise<void>) =>
        void work().catch((error: Error) => complain(error.message));
      quietly(away);
      offerUndo(`${rows.length} of your own rows removed`, () => quietly(back));
    },
    [rivals, niche.id, reload, complain],
  );

  return (
    <Context.Provider
      value={{
        ...given,
        assumptions,
        savedAssumptions,
        changeAssumptions,
        tryAssumptions,
        rivals,
        firstRivals,
        problem,
        indexed,
        verdict,
        counted,
        filter,
        filtered,
        setFilter,
        mark,
        reload,
        remove,
        jobs,
        latest,
        changeBrief,
        money: moneyOf(niche.market),
      }}
    >
      {children}
    </Context.Provider>
  );
}

/** Things by what they have in common. */
function groupsBy<T>(things: readonly T[], key: (thing: T) => string): Map<string, T[]> {
  const groups = new Map<string, T[]>();
  for (const thing of things) groups.set(key(thing), [...(groups.get(key(thing)) ?? []), thing]);
  return groups;
}

function useRivals(nicheId: string, curve: SalesCurve, mark: string) {
  const [rivals, setRivals] = useState<Rival[] | null>(null);
  const [firstRivals, setFirstRivals] = useState<Rival[] | null>(null);
  const [problem, setProblem] = useState('');
  const [turn, setTurn] = useState(0);
  const reload = useCallback(() => setTurn((now) => now + 1), []);
  // The curve is a new object with every load; what it says is what matters.
  const curveText = JSON.stringify(curve);
  // biome-ignore lint/correctness/useExhaustiveDependencies: `mark` and `turn` say that the server's rivals are others now
  useEffect(() => {
    const stop = new AbortController();
    fetchRivals(nicheId, JSON.parse(curveText) as SalesCurve, stop.signal, setFirstRivals)
      .then((found) => {
        setRivals(found);
        setProblem('');
      })
      .catch((error: Error) => {
        if (!stop.signal.aborted) setProblem(`${error.message} Open the niche again.`);
      });
    return () => stop.abort();
  }, [nicheId, curveText, mark, turn]);
  const change = useCallback((ids: string[], marks: RivalMarks) => {
    const those = new Set(ids);
    setRivals((now) => now?.map((rival) => (those.has(rival.id) ? { ...rival, ...marks } : rival)) ?? null);
  }, []);
  return { rivals, firstRivals, problem, change, reload, complain: setProblem };
}
