import { StyleSheet, View } from "react-native";
import { LANGUAGES, LANGUAGE_NAMES, showPhone, type Language } from "@mechanon/core";
import { Press } from "../ui/Press";
import { SPACE } from "../ui/theme";
import { Words } from "../ui/Words";
import { Logo } from "../papers/Logo";
import { useSpeaking } from "./language";

interface PageHeadProps {
  businessName: string;
  businessPhone: string;
  /** Where its logo is; left out: it has none. */
  logoUri?: string | undefined;
  /** Told besides, where the language is kept with the customer. */
  onPick?: (language: Language) => void;
}

/** Whose page it is, how to call them, and the other languages. */
export function PageHead({ businessName, businessPhone, logoUri, onPick }: PageHeadProps) {
  const { language, pick } = useSpeaking();
  return (
    <View style={styles.head}>
      <View style={styles.who}>
        {logoUri === undefined ? null : <Logo uri={logoUri} name={businessName} />}
        <Words strong>{businessName}</Words>
        <Words size="small" tone="muted" figures>
          {showPhone(businessPhone)}
        </Words>
      </View>
      {LANGUAGES.filter((each) => each !== language).map((each) => (
        <Press
          key={each}
          label={LANGUAGE_NAMES[each]}
          onPress={() => {
            pick(each);
            onPick?.(each);
          }}
          testID={`language-${each}`}
        >
          <Words strong tone="petrol">
            {LANGUAGE_NAMES[each]}
          </Words>
        </Press>
      ))}
    </View>
  );
}

const styles = StyleSheet.create({
  head: { flexDirection: "row", alignItems: "center", gap: SPACE.m },
  who: { flex: 1 },
});
