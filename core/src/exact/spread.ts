/**
 * Shares a whole amount over weights by largest remainder: each gets the floor of `total x weight / sum`; the cents
 * left go one each to the largest fractions, ties to the earlier. With all weights zero all goes to the first.
 *
 * @param total - whole cents, 0 or more.
 * @param weights - 0 or more each.
 * @returns Shares that add up to `total`, in the order of the weights; none for no weights.
 * @example
 * spread(100n, [1n, 1n, 1n]) //=> [34n, 33n, 33n]
 */
export function spread(total: bigint, weights: readonly bigint[]): bigint[] {
  const sum = weights.reduce((all, weight) => all + weight, 0n);
  if (sum === 0n) return weights.map((_, index) => (index === 0 ? total : 0n));
  const shares = weights.map((weight) => (total * weight) / sum);
  const left = Number(total - shares.reduce((all, share) => all + share, 0n));
  weights
    .map((weight, index) => ({ index, fraction: (total * weight) % sum }))
    .sort((a, b) => (a.fraction === b.fraction ? a.index - b.index : a.fraction > b.fraction ? -1 : 1))
    .slice(0, left)
    .forEach(({ index }) => {
      shares[index] = (shares[index] ?? 0n) + 1n;
    });
  return shares;
}
