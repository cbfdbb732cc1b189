import { StyleSheet, View } from "react-native";
import type { Consent } from "@mechanon/core";
import { Choices } from "../../ui/Choices";
import { Field } from "../../ui/Field";
import { SPACE } from "../../ui/theme";
import { Words } from "../../ui/Words";

const HOWS = ["Said so on the phone", "Said so on site", "Wrote it", "Replied to a text"];

/** Whether texts, or mails, are welcome; the moment is noted by itself. */
export function ConsentField({
  what = "Texts",
  value,
  onChange,
}: {
  what?: "Texts" | "Mails";
  value: Consent | null;
  onChange: (value: Consent | null) => void;
}) {
  const set = (given: boolean): void =>
    onChange(value?.given === given ? null : { given, at: new Date().toISOString(), how: HOWS[0] ?? "" });
  return (
    <View style={styles.list}>
      <Choices
        label={what}
        options={[
          { value: "yes", label: `${what} welcome` },
          { value: "no", label: `No ${what.toLowerCase()}` },
        ]}
        value={value === null ? null : value.given ? "yes" : "no"}
        onChoose={(chosen) => set(chosen === "yes")}
      />
      {value ? (
        <>
          <Choices
            label={what === "Texts" ? "How they said it" : "How they said it of mails"}
            options={HOWS.map((how) => ({ value: how, label: how }))}
            value={value.how}
            onChoose={(how) => onChange({ ...value, how })}
          />
          <Field
            label={what === "Texts" ? "Or in other words" : "Or in other words, of mails"}
            value={value.how}
            onChangeText={(how) => onChange({ ...value, how })}
            maxLength={100}
          />
        </>
      ) : (
        <Words size="small" tone="muted">
          {`Not asked yet: ${what.toLowerCase()} about the work go out until they say no.`}
        </Words>
      )}
    </View>
  );
}

const styles = StyleSheet.create({ list: { gap: SPACE.s } });
