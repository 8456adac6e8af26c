import { sectionId } from './copied.ts';
import type { Plan } from './planned.ts';
import { partWithin, sumOf, unitsIn } from './planned-units.ts';
import { canBeParted, type Entry, type Group, kindOf, type Section } from './sections.ts';

/** A part of what was one entry. */
export interface Part {
  entry: Entry;
  /** It is what was asked for, and not what stands before or behind it. */
  inside: boolean;
}

/**
 * Parts a group so that the pages from one to another are entries of their own: whole rounds stay groups, and what begins or ends
 * within a round becomes sections.
 * @returns null where it has to stay whole: a group whose turns are mixed, or that fills the book
 */
export function partsOfGroup(plan: Plan, group: Group, first: number, last: number): Part[] | null {
  const { members, rounds, order = 'turns' } = group.group;
  const round = members.flatMap(({ times = 1 }, i) => Array.from({ length: times }, () => i));
  const units = members.map((member) => unitsIn(plan, member));
  const isWhole = members.every((member, i) => units[i]!.length === rounds * (member.times ?? 1));
  const kinds = members.map(kindOf);
  const partable = kinds.every((kind) => canBeParted(kind) || kind.extent === 'single');
  if (order !== 'turns' || group.fillTo !== undefined || !isWhole || !partable) return null;

  const next = members.map(() => 0);
  const turns = Array.from({ length: rounds * round.length }, (_, turn) => {
    const member = round[turn % round.length]!;
    const place = next[member]!++;
    return { member, place, ...units[member]![place]! };
  });
  const isInside = (turn: (typeof turns)[number]) => turn.last >= first && turn.first <= last;
  const from = turns.findIndex(isInside);
  const to = turns.findLastIndex(isInside) + 1;
  if (from < 0) return [];

  const taken = new Set<string>();
  const nameOf = (id: string): string => {
    const name = taken.has(id) ? sectionId() : id;
    taken.add(id);
    return name;
  };
  /** So many units of a member, from one on. */
  const partOf = (member: number, place: number, count: number): Section => {
    const { standingPage, ...rest } = members[member]!;
    // Some pages of a standing page are no longer that page; one that comes in every round is.
    const isKept = standingPage !== undefined && kinds[member]!.extent === 'single';
    const section: Section = isKept ? { ...rest, standingPage } : rest;
    const own = units[member]!;
    const part = partWithin(plan, section, nameOf(section.id), {
      at: 1 + sumOf(own.slice(0, place)),
      count: sumOf(own.slice(place, place + count)),
      all: sumOf(own),
    });
    if (kinds[member]!.extent !== 'derived' || !part.partOf) return part;
    // A group has the first of the pages that options make: none of its parts goes on with what they make beyond.
    const goesOn = section.partOf?.runs.some((run) => run.last === run.of) ?? true;
    const runs = part.partOf.runs.map((run) => (goesOn ? { ...run, of: run.of + 1 } : run));
    return { ...part, partOf: { ...part.partOf, runs } };
  };
  /** A member that comes so often behind itself. */
  const alone = (turn: number, count: number): Section => {
    const { member, place } = turns[turn]!;
    const { times: _, ...section } = partOf(member, place, count);
    const { extent } = kinds[member]!;
    if (extent === 'pages') return { ...section, pages: count };
    if (extent !== 'items') return section;
    const items = sumOf(units[member]!.slice(place, place + count));
    return { ...section, items, solutions: group.solutions };
  };
  const whole = (turn: number, count: number): Group => {
    const { id, starts: _, ...rest } = group;
    const begun = turn / round.length;
    const inRounds = members.map(({ times = 1 }, i) => partOf(i, begun * times, count * times));
    return { ...rest, id: nameOf(id), group: { ...group.group, rounds: count, members: inRounds } };
  };
  const parts: Part[] = [];
  for (const [begin, end, inside] of [
    [0, from, false],
    [from, to, true],
    [to, turns.length, false],
  ] as const)
    for (let turn = begin; turn < end; ) {
      const rest = Math.floor((end - turn) / round.length);
      if (turn % round.length === 0 && rest > 0) {
        parts.push({ entry: whole(turn, rest), inside });
        turn += rest * round.length;
        continue;
      }
      const { member } = turns[turn]!;
      let count = 1;
      // One that comes several times in a round.
      while (
        kinds[member]!.extent !== 'single' &&
        turn + count < end &&
        (turn + count) % round.length !== 0 &&
        turns[turn + count]!.member === member
      )
        count++;
      parts.push({ entry: alone(turn, count), inside });
      turn += count;
    }
  const [begins, ...others] = parts as [Part, ...Part[]];
  return group.starts ? [{ ...begins, entry: { ...begins.entry, starts: group.starts } }, ...others] : parts;
}
