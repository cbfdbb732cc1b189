import type { ReactNode } from "react";
import { StyleSheet, View } from "react-native";
import {
  measureName,
  say,
  showDateIn,
  showMeasure,
  showWhole,
  type FoundSeen,
  type Language,
  type MeasureSeen,
  type WordKey,
  type WordValues,
} from "@mechanon/core";
import { WearChart } from "../check/WearChart";
import { GRADE_LOOK } from "../check/gradeLook";
import { useColors } from "../ui/face";
import { Heading } from "../ui/Heading";
import { SPACE } from "../ui/theme";
import { Words } from "../ui/Words";

interface FoundSeenListProps {
  found: readonly FoundSeen[];
  /** What was looked at and is fine. */
  fine: readonly FoundSeen["title"][];
  language: Language;
  timeZone: string;
  /** Draws a photo or clip, large. */
  drawPicture: (picture: FoundSeen["pictures"][number], label: string) => ReactNode;
}

/** What was found, as its customer reads it: unsafe first, photos large, what it means, how long it lasts; what is fine too. */
export function FoundSeenList({ found, fine, language, timeZone, drawPicture }: FoundSeenListProps) {
  const t = (key: WordKey, values?: WordValues): string => say(language, key, values);
  if (found.length + fine.length === 0) return null;
  return (
    <View style={styles.list}>
      <Heading level={2}>{t("mine.found")}</Heading>
      {found.map((each) => (
        <FoundSeenItem
          key={`${each.pointId} ${each.title.en}`}
          found={each}
          language={language}
          timeZone={timeZone}
          drawPicture={drawPicture}
        />
      ))}
      {fine.length > 0 ? (
        <View style={styles.finding}>
          <Words strong>{`✓ ${t("found.fine")}`}</Words>
          <Words tone="muted">{fine.map((title) => title[language]).join(" · ")}</Words>
        </View>
      ) : null}
    </View>
  );
}

/** One finding, as its customer reads it. */
export function FoundSeenItem({
  found: { title, grade, note, topic, pictures, measures },
  language,
  timeZone,
  drawPicture,
}: Omit<FoundSeenListProps, "found" | "fine"> & { found: FoundSeen }) {
  const colors = useColors();
  const t = (key: WordKey, values?: WordValues): string => say(language, key, values);
  const { icon: Icon } = GRADE_LOOK[grade];
  const name = title[language];
  return (
    <View style={[styles.finding, { borderColor: colors.hairline }]}>
      <View style={styles.head}>
        <Icon size={26} color={grade === "watch" ? colors.ink : colors.alarm} />
        <View style={styles.grow}>
          <Words strong size="lead">
            {name}
          </Words>
          <Words strong tone={grade === "watch" ? "ink" : "alarm"}>
            {t(`found.${grade}`)}
          </Words>
        </View>
      </View>
      {pictures.map((picture, place) => (
        <View key={picture.photoId}>
          {picture.moment ? <Words size="small">{t(`found.${picture.moment}`)}</Words> : null}
          {drawPicture(picture, `${name}, ${t("ask.photoOf", { number: place + 1 })}`)}
        </View>
      ))}
      {note === "" ? null : <Words>{note}</Words>}
      {topic === null ? null : <Words tone="muted">{t(`means.${topic}`)}</Words>}
      {measures.map((measure) => (
        <Measured key={measure.key} measure={measure} language={language} timeZone={timeZone} />
      ))}
    </View>
  );
}

function Measured({ measure, language, timeZone }: { measure: MeasureSeen; language: Language; timeZone: string }) {
  const { value, unit, limit, readings, milesLeft, dueOn } = measure;
  const name = measureName(language, measure);
  const shown = (given: number): string => showMeasure(given, unit);
  const lasts =
    milesLeft === null
      ? null
      : milesLeft === 0
        ? say(language, "found.atLimit")
        : dueOn === null
          ? say(language, "found.lasts", { miles: showWhole(milesLeft) })
          : say(language, "found.lastsUntil", {
              miles: showWhole(milesLeft),
              day: showDateIn(language, `${dueOn}T12:00:00Z`, timeZone),
            });
  const line = [
    `${name} ${shown(value)}`,
    limit === null ? null : say(language, "found.limit", { limit: shown(limit) }),
  ];
  return (
    <View>
      <Words figures>{line.filter(Boolean).join(" · ")}</Words>
      {limit !== null && readings.length > 1 ? (
        <WearChart
          readings={readings}
          limit={limit}
          milesLeft={milesLeft}
          label={say(language, "found.wearChart", {
            name,
            from: shown(readings[0]?.value ?? 0),
            to: shown(value),
            limit: shown(limit),
          })}
          unitWords={shown}
        />
      ) : null}
      {lasts === null ? null : (
        <Words figures tone="muted">
          {lasts}
        </Words>
      )}
    </View>
  );
}

const styles = StyleSheet.create({
  list: { gap: SPACE.m },
  finding: { gap: SPACE.s, borderTopWidth: 1, paddingTop: SPACE.m, borderColor: "transparent" },
  head: { flexDirection: "row", gap: SPACE.m, alignItems: "center" },
  grow: { flex: 1 },
});
