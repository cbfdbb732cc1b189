import { say, type Language, type Signature, type WordKey, type WordValues } from "@mechanon/core";
import { Choices } from "../ui/Choices";
import { Field } from "../ui/Field";
import { Words } from "../ui/Words";
import { SignatureField } from "./SignatureField";

interface SignPartProps {
  language: Language;
  /** Who may sign, where that is known. */
  signers: readonly string[];
  signer: string;
  onSigner: (name: string) => void;
  /** Whose yes is needed, too. */
  also: { name: string; limit: string } | null;
  onStrokes: (strokes: Signature) => void;
}

/** Who signs, and the signature. */
export function SignPart({ language, signers, signer, onSigner, also, onStrokes }: SignPartProps) {
  const t = (key: WordKey, values?: WordValues): string => say(language, key, values);
  return (
    <>
      {signers.length > 1 ? (
        <Choices
          label={t("answer.who")}
          options={signers.map((who) => ({ value: who, label: who }))}
          value={signer}
          onChoose={onSigner}
        />
      ) : null}
      <Field label={t("answer.name")} value={signer} onChangeText={onSigner} maxLength={200} autoComplete="off" />
      {also ? (
        <Words strong>{t("answer.alsoNeeded", { name: signer, limit: also.limit, owner: also.name })}</Words>
      ) : null}
      <SignatureField label={t("answer.signHere")} wipe={t("answer.wipe")} onChange={onStrokes} />
    </>
  );
}
