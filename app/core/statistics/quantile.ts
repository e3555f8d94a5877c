/**
 * Quantile of numbers, some of which may be infinite (what never came).
 *
 * @param values - in any order, at least one
 * @param p - 0 to 1
 * @returns linear between the order statistics (type 7 of Hyndman & Fan 1996); infinite where it would lie beside one
 * @throws {RangeError} for no values or a `p` outside 0 to 1
 */
export function quantile(values: readonly number[], p: number): number {
  if (values.length === 0) throw new RangeError("values: none given");
  if (!(p >= 0 && p <= 1)) throw new RangeError(`p: ${p} is not in 0 to 1`);
  const sorted = [...values].sort((a, b) => a - b);
  const at = p * (sorted.length - 1);
  const [low, high] = [sorted[Math.floor(at)]!, sorted[Math.ceil(at)]!];
  if (low === high) return low;
  return low + (at - Math.floor(at)) * (high - low);
}
