/**
 * An intention that does not fit; nothing was changed. Its code is one of those its area has words for.
 *
 * @see workOrders/refusals.ts, where the words of all areas are put together.
 */
export class Refusal<Code extends string = string> extends Error {
  constructor(readonly code: Code) {
    super(code);
    this.name = "Refusal";
  }
}
