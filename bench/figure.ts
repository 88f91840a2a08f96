/** One figure of quality.md: ours against a reference, both measured in the same run. */
export interface Figure {
  readonly name: string;
  readonly ours: number;
  readonly reference: number;
  readonly unit: string;
  /** The most that ours may be of the reference, or the least when `isFloor`. */
  readonly target: number;
  readonly isFloor?: boolean;
  /** Instead of a ratio, how much more than the reference ours may be. */
  readonly isDifference?: boolean;
}

/** A figure that could not be measured, and why. */
export interface Unmeasured {
  readonly name: string;
  readonly problem: string;
}

export function printUnmeasured({ name, problem }: Unmeasured): void {
  console.log(`${name.padEnd(14)}  NOT MEASURED: ${problem.split('\n')[0] ?? ''}`);
}

export function printFigure({
  name,
  ours,
  reference,
  unit,
  target,
  isFloor = false,
  isDifference = false,
}: Figure): boolean {
  const value = isDifference ? ours - reference : ours / reference;
  const isOk = isFloor ? value >= target : value <= target;
  const shown = (number: number): string =>
    number >= 100 ? number.toFixed(0) : number >= 1 ? number.toFixed(2) : number.toPrecision(3);
  const goal = `${isFloor ? 'at least' : 'at most'} ${shown(target)}${isDifference ? ` ${unit} more` : 'x'}`;
  const columns = [
    name.padEnd(14),
    `${shown(ours)} ${unit}`.padStart(14),
    `${shown(reference)} ${unit}`.padStart(14),
    `${shown(value)}${isDifference ? ` ${unit}` : 'x'}`.padStart(12),
    goal.padStart(22),
    isOk ? 'ok' : 'NOT OK',
  ];
  console.log(columns.join('  '));
  return isOk;
}

/** The q-quantile of some measurements. */
export function quantile(values: readonly number[], q: number): number {
  const sorted = values.toSorted((a, b) => a - b);
  return sorted[Math.min(sorted.length - 1, Math.floor(q * sorted.length))] ?? 0;
}

/**
 * The median time of two functions in ms, measured by turns so that whatever else the machine does meets both
 * alike. Each is warmed up first.
 */
export async function byTurns(
  rounds: number,
  ours: () => unknown,
  reference: () => unknown,
): Promise<readonly [number, number]> {
  const times: [number[], number[]] = [[], []];
  for (let round = -Math.ceil(rounds / 4); round < rounds; round += 1) {
    for (const [at, run] of [ours, reference].entries()) {
      const begin = performance.now();
      await run();
      if (round >= 0) times[at as 0 | 1].push(performance.now() - begin);
    }
  }
  return [quantile(times[0], 0.5), quantile(times[1], 0.5)];
}
