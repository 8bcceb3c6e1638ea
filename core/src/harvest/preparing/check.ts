/** Refuses what is no such number, naming the field and what would be right. */
export function above(field: string, value: number): void {
  if (!(Number.isFinite(value) && value > 0)) throw new RangeError(`${field}: above nothing`);
}
export function noLess(field: string, value: number): void {
  if (!(Number.isFinite(value) && value >= 0)) throw new RangeError(`${field}: nothing or more`);
}
/** @param most such as 1 for a share, 100 for per cent */
export function within(field: string, value: number, most: number): void {
  if (!(Number.isFinite(value) && value >= 0 && value <= most))
    throw new RangeError(`${field}: from 0 to ${most}`);
}
