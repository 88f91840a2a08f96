import type { Id } from '../base/ids.ts';
import type { DeviceClass } from '../schema/deviceClass.ts';

/**
 * What a bar does in some windows where its entries do not fit into one row. All widths are those of its band, in em of
 * the band’s text, so that they grow with it; null: whatever the width.
 */
export type FitRule = {
  readonly device: DeviceClass;
  /** Only where the drawer has taken over, or only where it has not; not there: in both. */
  readonly hasDrawer?: boolean;
  /** It does not fit where its band is narrower. */
  readonly below: number | null;
} & (
  | { readonly does: 'scroll' }
  | {
      readonly does: 'shrink';
      /** What is smaller where the band is narrower, in px: gaps, padding at both sides, text. */
      readonly steps: readonly {
        readonly below: number | null;
        readonly gap?: number;
        readonly start?: number;
        readonly end?: number;
        readonly size?: number;
      }[];
    }
  | {
      readonly does: 'fold';
      /** The entries that are in “More” where the band is narrower. */
      readonly entries: readonly { readonly id: Id; readonly below: number | null }[];
    }
);

/** What a bar does where it does not fit: at most one rule for each kind of window. */
export type BarFit = readonly FitRule[];
