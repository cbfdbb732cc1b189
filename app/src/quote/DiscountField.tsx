import type { Discount } from "@mechanon/core";
import { discountWords, readDiscount, typedDiscount } from "./discountWords";
import { FigureField } from "./FigureField";

interface DiscountFieldProps {
  label: string;
  off: Discount | undefined;
  /** What it is taken of; null: nothing comes off yet. */
  ofCents: number | null;
  onSave: (off: Discount | null) => void;
  onFault?: (label: string, isFault: boolean) => void;
}

/** What is taken off a price, as a share or an amount; more than the price takes off no more than it. */
export function DiscountField({ label, off, ofCents, onSave, onFault }: DiscountFieldProps) {
  const isAll = off !== undefined && "amountCents" in off && ofCents !== null && off.amountCents > ofCents;
  return (
    <FigureField<{ off: Discount | null }>
      label={label}
      isWords
      value={{ off: off ?? null }}
      show={(value) => typedDiscount(value.off ?? undefined)}
      read={(typed) => {
        const read = readDiscount(typed);
        return read === undefined ? null : { off: read };
      }}
      looksLike="10% or 25.00; empty for none"
      hint={isAll ? "more than the price: it is free" : off ? discountWords(off) : "10% or 25.00"}
      onSave={(value) => onSave(value.off)}
      onFault={onFault}
    />
  );
}
