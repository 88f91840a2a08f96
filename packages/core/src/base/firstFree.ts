/** The name itself, or with the least number from 2 on with which it is not taken yet. */
export function firstFree(name: string, isTaken: (name: string) => boolean): string {
  let free = name;
  for (let number = 2; isTaken(free); number += 1) free = `${name}-${number}`;
  return free;
}
