import { useRouter } from "expo-router";
import { StyleSheet, View } from "react-native";
import { countOf } from "@mechanon/core";
import { Button } from "../ui/Button";
import { Notice } from "../ui/Notice";
import { SPACE } from "../ui/theme";
import { actWords } from "./actWords";
import { changeHref } from "./changeHref";
import type { Pending } from "./pending";
import { hangingOn, letGo, overlapAnyway, tryAgain } from "./refusals";

/** Something that was not taken: why, and what becomes of it. */
export function RefusedAct({ item }: { item: Pending }) {
  const router = useRouter();
  const { refusal } = item;
  if (!refusal) return null;
  const along = hangingOn(item).length;
  const href = changeHref(item);
  if (refusal.isDone)
    return (
      <View style={styles.act}>
        <Notice text={refusal.words} kind="note" action={{ label: "They are two", onPress: () => void letGo(item) }} />
        <Button kind="quiet" label="Look, and make them one" onPress={() => router.navigate(href)} />
      </View>
    );
  return (
    <View style={styles.act}>
      <Notice text={`${actWords(item)} was not taken. ${refusal.words}`} />
      <View style={styles.ways}>
        {refusal.code === "visit/overlaps" ? (
          <Button label="Do it anyway" onPress={() => void overlapAnyway(item)} />
        ) : (
          <Button label="Try again" onPress={() => void tryAgain(item)} />
        )}
        <Button kind="quiet" label="Change" onPress={() => router.navigate(href)} />
        <Button
          kind="quiet"
          label={along > 0 ? `Let go of it, and of ${countOf(along, "thing")} that hang on it` : "Let go"}
          onPress={() => void letGo(item)}
        />
      </View>
    </View>
  );
}

const styles = StyleSheet.create({
  act: { gap: SPACE.xs },
  ways: { flexDirection: "row", flexWrap: "wrap", columnGap: SPACE.m },
});
