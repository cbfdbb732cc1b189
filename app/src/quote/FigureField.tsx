import { useEffect, useState } from "react";
import { Field } from "../ui/Field";

interface FigureFieldProps<Figure> {
  label: string;
  /** As it stands. */
  value: Figure;
  show: (value: Figure) => string;
  /** @returns null: it is none. */
  read: (typed: string) => Figure | null;
  /** What one looks like. */
  looksLike: string;
  hint?: string;
  /** It is more than digits: words, or a share with its sign, which a number pad has no key for. */
  isWords?: boolean;
  onSave: (value: Figure) => void;
  /** Told whether what is typed fits, so that nothing typed is left behind. */
  onFault?: (label: string, isFault: boolean) => void;
}

/** A figure that is typed where it stands; leaving the field is enough. What does not fit stays and says so. */
export function FigureField<Figure>({
  label,
  value,
  show,
  read,
  looksLike,
  hint,
  isWords = false,
  onSave,
  onFault,
}: FigureFieldProps<Figure>) {
  const [typed, setTyped] = useState<string | null>(null);
  const shown = show(value);
  const figure = read(typed ?? shown);
  const isFault = figure === null;
  useEffect(() => {
    onFault?.(label, isFault);
    return () => onFault?.(label, false);
  }, [onFault, label, isFault]);
  const save = (): void => {
    if (figure === null) return;
    if (typed !== null && show(figure) !== shown) onSave(figure);
    setTyped(null);
  };
  return (
    <Field
      label={label}
      hint={hint}
      inputMode={isWords ? "text" : "decimal"}
      value={typed ?? shown}
      onChangeText={setTyped}
      onBlur={save}
      onSubmitEditing={save}
      error={isFault ? looksLike : null}
    />
  );
}
