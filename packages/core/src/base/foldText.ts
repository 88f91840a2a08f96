/**
 * A text as it is compared: letters without their marks and in small (NFKD), all else that is no letter or
 * digit made single spaces.
 */
export function foldText(text: string): string {
  return text
    .normalize('NFKD')
    .replaceAll(/\p{M}/gu, '')
    .toLowerCase()
    .replaceAll(/[^\p{L}\p{N}]+/gu, ' ')
    .trim();
}
