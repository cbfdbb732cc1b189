import { StyleSheet, View } from "react-native";
import type { Consent } from "@mechanon/core";
import { Choices } from "../../ui/Choices";
import { Field } from "../../ui/Field";
import { SPACE } from "../../ui/theme";
import { Words } from "../../ui/Words";

const HOWS = ["Said so on the phone", "Said so on site", "Wrote it", "Replied to a text"];

/** Whether texts are welcome; the moment is noted by itself. */
export function ConsentField({
  value,
  onChange,
}: {
  value: Consent | null;
  onChange: (value: Consent | null) => void;
}) {
  const set = (given: boolean): void =>
    onChange(value?.given === given ? null : { given, at: new Date().toISOString(), how: HOWS[0] ?? "" });
  return (
    <View style={styles.list}>
      <Choices
        label="Texts"
        options={[
          { value: "yes", label: "Texts welcome" },
          { value: "no", label: "No texts" },
        ]}
        value={value === null ? null : value.given ? "yes" : "no"}
        onChoose={(chosen) => set(chosen === "yes")}
      />
      {value ? (
        <>
          <Choices
            label="How they said it"
            options={HOWS.map((how) => ({ value: how, label: how }))}
            value={value.how}
            onChoose={(how) => onChange({ ...value, how })}
          />
          <Field
            label="Or in other words"
            value={value.how}
            onChangeText={(how) => onChange({ ...value, how })}
            maxLength={100}
          />
        </>
      ) : (
        <Words size="small" tone="muted">
          Not asked yet: texts about the work go out until they say no.
        </Words>
      )}
    </View>
  );
}

const styles = StyleSheet.create({ list: { gap: SPACE.s } });
