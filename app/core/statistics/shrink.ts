/** Variances of a two-level normal model: what groups share, what sets one apart, and what is new each time. */
export interface Levels {
  shared: number;
  group: number;
  noise: number;
}

/** The mean of one group, as far as it is known. */
export interface Shrunk {
  mean: number;
  /** Variance of the mean, without what is new each time. */
  variance: number;
}

/**
 * Estimates one group's mean from its own values and those of other groups: shrunk to what they share, that shrunk to
 * nought. Normal at both levels with known variances, so closed form.
 *
 * @param values - of all groups
 * @param group - the one to estimate; it may have no values yet
 * @source conjugate normal model, e.g. Gelman et al., Bayesian Data Analysis, 2.5 and 5.4 (from memory)
 */
export function shrinkTo(values: readonly { group: string; value: number }[], group: string, of: Levels): Shrunk {
  const groups = new Map<string, number[]>();
  for (const v of values) groups.set(v.group, [...(groups.get(v.group) ?? []), v.value]);
  // What is shared, from the means of the other groups.
  let precision = 1 / of.shared;
  let sum = 0;
  for (const [name, own] of groups) {
    if (name === group) continue;
    const p = 1 / (of.group + of.noise / own.length);
    precision += p;
    sum += (p * total(own)) / own.length;
  }
  const before = 1 / precision + of.group;
  const own = groups.get(group) ?? [];
  const variance = 1 / (1 / before + own.length / of.noise);
  return { mean: variance * (sum / precision / before + total(own) / of.noise), variance };
}

const total = (xs: readonly number[]) => xs.reduce((a, b) => a + b, 0);
