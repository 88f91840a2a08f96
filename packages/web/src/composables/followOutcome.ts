import {
  applyEdit,
  childrenOf,
  follow,
  isFollowed,
  labelOf,
  nodeAt,
  preorder,
  withFollowed,
  type CommandContext,
  type CompareTitles,
  type Edit,
  type Follow,
  type Id,
  type Result,
  type SiteDocument,
} from '@zorvik/core';

/** An item as it would stand there. */
export interface FollowedRow {
  readonly id: Id;
  readonly depth: number;
  readonly label: string;
  /** It is no followed one: somebody put it there. */
  readonly isOwn: boolean;
}

/** What would stand below an item that followed by a rule, or why nothing would. */
export interface FollowOutcome {
  readonly problem: string | null;
  readonly rows: readonly FollowedRow[];
  /** How many followed items there would be, how many own ones, and how many would go. */
  readonly count: number;
  readonly own: number;
  readonly gone: number;
}

export interface FollowTrial {
  /** The document without what is followed, as it is stored. */
  readonly stored: SiteDocument;
  readonly item: Id;
  readonly rule: Follow;
  /** Tries a command without keeping what it does. */
  readonly attempt: (command: (context: CommandContext) => Result<Edit>) => Result<Edit>;
  readonly compareTitles: CompareTitles;
  /** How many rows are wanted at most. */
  readonly most: number;
}

/** O(items + pages). */
export function followOutcome({
  stored,
  item,
  rule,
  attempt,
  compareTitles,
  most,
}: FollowTrial): FollowOutcome {
  const tried = attempt((context) => follow(context, item, rule));
  if (!tried.ok && tried.refusal.code !== 'changesNothing')
    return { problem: tried.refusal.message, rows: [], count: 0, own: 0, gone: 0 };
  const applied = tried.ok ? applyEdit(stored, tried.value) : null;
  const after = withFollowed(applied?.ok === true ? applied.value.document : stored, compareTitles);
  const below = [...preorder<Id>(childrenOf(after.items, item), (one) => childrenOf(after.items, one))].map(
    ({ node: id, depth }) => ({ id, depth, isOwn: !isFollowed(after, id) }),
  );
  const own = below.filter(({ isOwn }) => isOwn).length;
  return {
    problem: null,
    rows: below.slice(0, most).map((row) => ({ ...row, label: labelOf(after, nodeAt(after.items, row.id)) })),
    count: below.length - own,
    own,
    gone: tried.ok ? tried.value.operations.filter(({ kind }) => kind === 'removeItem').length : 0,
  };
}
