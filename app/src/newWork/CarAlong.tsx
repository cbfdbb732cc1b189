import { useRouter } from "expo-router";
import { StyleSheet, View } from "react-native";
import { showMoney } from "@mechanon/core";
import { errorWords } from "../api/problem";
import { DUE_STANDING, lastServiceLines, odometerLine, putOffWords } from "../cars/carWords";
import { useCarSheet } from "../cars/useCarSheet";
import { WAIT_WORDS } from "../day/waitWords";
import { PhotoStrip } from "../photos/PhotoStrip";
import { useBusiness } from "../session/useSession";
import { Button } from "../ui/Button";
import { Choices } from "../ui/Choices";
import { useColors } from "../ui/face";
import { Notice } from "../ui/Notice";
import { SPACE } from "../ui/theme";
import { Tick } from "../ui/Tick";
import { WaitingRows } from "../ui/WaitingRows";
import { Words } from "../ui/Words";
import type { KeptCar } from "../carFinder/carSearch";
import { useDraft } from "./draft";

const THEN_WORDS: Readonly<Record<Exclude<KeptCar["then"], "nothing">, string>> = {
  move: "With the work order the car becomes the caller's.",
  link: "With the work order the caller is kept as its driver.",
};

/** What comes along with a car we keep: quotes still open, work running, what was put off, what was used last. */
export function CarAlong({ car, fault }: { car: KeptCar; fault: string | undefined }) {
  const router = useRouter();
  const colors = useColors();
  const zone = useBusiness()?.timeZone ?? "UTC";
  const { draft, change } = useDraft();
  const { sheet, error, reload } = useCarSheet(car.vehicle.id);
  if (error)
    return (
      <Notice
        text={`${errorWords(error)} The work order can be opened without the car's history.`}
        action={{ label: "Try again", onPress: reload }}
      />
    );
  if (!sheet) return <WaitingRows label="Loading what comes along with the car" />;
  const quotes = sheet.openWork.filter(({ waitsFor }) => waitsFor === "answer");
  const running = sheet.openWork.filter(({ waitsFor }) => waitsFor !== "answer");
  const due = sheet.due.filter(({ standing }) => standing === "overdue" || standing === "soon");
  const last = lastServiceLines(sheet.lastService, zone);
  return (
    <View style={[styles.along, { borderColor: colors.hairline }]}>
      {car.then === "nothing" ? null : <Words>{THEN_WORDS[car.then]}</Words>}
      {quotes.map(({ id, number, totalCents, concerns }) => (
        <View key={id} style={styles.list}>
          <Words strong figures>
            {`Quote ${number}, ${showMoney(totalCents)}, waits for an answer${concerns[0] ? `: ${concerns[0]}` : ""}`}
          </Words>
          <Button label={`Go on with ${number}`} onPress={() => router.navigate(`/work/${id}`)} />
          <Choices
            label={`What becomes of ${number}`}
            options={[
              { value: "copy", label: "Copy its jobs" },
              { value: "anew", label: "Start anew beside it" },
            ]}
            value={draft.openQuote?.workOrderId === id ? draft.openQuote.way : null}
            onChoose={(way) => change({ openQuote: { workOrderId: id, way: way === "copy" ? "copy" : "anew" } })}
          />
        </View>
      ))}
      {fault && quotes.length > 0 && draft.openQuote === null ? <Notice text={fault} /> : null}
      {running.map(({ id, number, waitsFor }) => (
        <Button
          key={id}
          kind="quiet"
          label={`Running: ${number}, ${waitsFor === null ? "" : WAIT_WORDS[waitsFor].line.toLowerCase()}`}
          onPress={() => router.navigate(`/work/${id}`)}
        />
      ))}
      {sheet.later.map((job) => (
        <View key={job.jobId}>
          {job.libraryJobId === null ? (
            <Words>{`Put off: ${job.title}, ${putOffWords(job)}`}</Words>
          ) : (
            <Tick
              label={`Take along, put off: ${job.title}, ${putOffWords(job)}`}
              value={draft.takeAlong.includes(job.libraryJobId)}
              onChange={(on) =>
                change({
                  takeAlong: on
                    ? [...draft.takeAlong, job.libraryJobId ?? ""]
                    : draft.takeAlong.filter((id) => id !== job.libraryJobId),
                })
              }
            />
          )}
          <PhotoStrip pictures={job.photoIds.map((photoId) => ({ photoId }))} title={job.title} />
        </View>
      ))}
      {due.map((service) => (
        <Words key={service.interval.id}>{`${DUE_STANDING[service.standing]}: ${service.interval.title}`}</Words>
      ))}
      {last.length > 0 ? (
        <View>
          <Words size="small" strong>
            Last time
          </Words>
          {last.map((line) => (
            <Words key={line} tone="muted">
              {line}
            </Words>
          ))}
        </View>
      ) : null}
      {sheet.odometer.readings.length > 0 ? (
        <Words tone="muted" figures>
          {odometerLine(sheet.odometer)}
        </Words>
      ) : null}
      <Button kind="quiet" label="All about this car" onPress={() => router.navigate(`/cars/${car.vehicle.id}`)} />
    </View>
  );
}

const styles = StyleSheet.create({
  along: { gap: SPACE.s, borderTopWidth: 1, paddingTop: SPACE.s },
  list: { gap: SPACE.s },
});
