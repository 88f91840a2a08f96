/** Reads a number of px that may be left empty; gives what is wrong with it, or null. */
export function px(name: string, least: number, most: number, keep: (value: number | null) => string | null) {
  return (typed: string): string | null => {
    const text = typed.trim();
    if (text === '') return keep(null);
    const value = Number(text);
    return /^-?\d+$/.test(text) && value >= least && value <= most
      ? keep(value)
      : `Use a whole number from ${least} to ${most} px for the ${name}.`;
  };
}
