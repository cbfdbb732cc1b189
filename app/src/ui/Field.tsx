import { useId, type Ref } from "react";
import { StyleSheet, TextInput, View, type StyleProp, type TextInputProps, type ViewStyle } from "react-native";
import { useColors } from "./face";
import { FONT, MIN_TARGET, SPACE, TEXT_SIZE } from "./theme";
import { Words } from "./Words";

export interface FieldProps extends Omit<TextInputProps, "style"> {
  label: string;
  /** What does not fit, told at the field. */
  error?: string | null;
  hint?: string;
  mono?: boolean;
  style?: StyleProp<ViewStyle>;
  ref?: Ref<TextInput>;
}

/** One text field with its label above and its fault below. */
export function Field({ label, error, hint, mono = false, style, ref, ...rest }: FieldProps) {
  const colors = useColors();
  const note = error ?? hint;
  const noteId = useId();
  return (
    <View style={[styles.field, style]}>
      <Words size="small" strong aria-hidden>
        {label}
      </Words>
      <TextInput
        ref={ref}
        aria-label={label}
        aria-invalid={Boolean(error)}
        aria-describedby={note ? noteId : undefined}
        placeholderTextColor={colors.muted}
        autoCorrect={false}
        {...rest}
        onKeyPress={(event) => {
          rest.onKeyPress?.(event);
          // Out of the field, so that the keys of the page are keys again.
          const field: unknown = event.currentTarget;
          if (event.nativeEvent.key === "Escape" && typeof HTMLElement !== "undefined" && field instanceof HTMLElement)
            field.blur();
        }}
        style={[
          styles.input,
          {
            color: colors.ink,
            backgroundColor: colors.inset,
            borderColor: error ? colors.alarm : colors.muted,
            fontFamily: mono ? FONT.mono : FONT.regular,
          },
          rest.multiline && styles.multiline,
        ]}
      />
      {note ? (
        <Words nativeID={noteId} size="small" tone={error ? "alarm" : "muted"} role={error ? "alert" : undefined}>
          {error ? `✕ ${error}` : note}
        </Words>
      ) : null}
    </View>
  );
}

const styles = StyleSheet.create({
  field: { gap: SPACE.xs },
  input: {
    minHeight: MIN_TARGET,
    borderWidth: 1,
    borderRadius: 4,
    paddingHorizontal: SPACE.m,
    fontSize: TEXT_SIZE.body,
    width: "100%",
  },
  multiline: { minHeight: 84, paddingVertical: SPACE.s },
});
