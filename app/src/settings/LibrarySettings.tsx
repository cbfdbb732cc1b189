import { useRouter } from "expo-router";
import { useQueryClient } from "@tanstack/react-query";
import { useState, type ReactNode } from "react";
import { StyleSheet, View } from "react-native";
import { countOf, idOf, showAmount, type LibraryJob, type QuoteLine } from "@mechanon/core";
import { routes } from "@mechanon/contract";
import { v7 as uuid } from "uuid";
import { call } from "../api/call";
import { errorWords } from "../api/problem";
import { shownOffers } from "../jobLibrary/shownOffers";
import { NeedsSignal } from "../offline/NeedsSignal";
import { useBusiness, useRight } from "../session/useSession";
import { Button } from "../ui/Button";
import { useColors } from "../ui/face";
import { Field } from "../ui/Field";
import { Heading } from "../ui/Heading";
import { LongList } from "../ui/LongList";
import { Notice } from "../ui/Notice";
import { Press } from "../ui/Press";
import { Screen } from "../ui/Screen";
import { SPACE } from "../ui/theme";
import { ROW, useRowKeys } from "../ui/useRowKeys";
import { WaitingRows } from "../ui/WaitingRows";
import { Words } from "../ui/Words";
import { LibraryChanges } from "./LibraryChanges";
import { LibraryFile } from "./LibraryFile";

/** About, in pixels. */
const LINE_HEIGHT = 58;

/** The jobs kept ready: what is in each, and taking one out. */
export function LibrarySettings() {
  const business = useBusiness();
  const seesCost = useRight("seeCost");
  const router = useRouter();
  const rowKeys = useRowKeys();
  const [typed, setTyped] = useState("");
  const [open, setOpen] = useState<string | null>(null);
  if (!business)
    return (
      <Screen title="Jobs kept ready">
        <WaitingRows label="Loading the library" />
      </Screen>
    );
  const shown = shownOffers([], business.library, typed, "").map(({ libraryJob }) => libraryJob);
  const draw = (job: LibraryJob): ReactNode => (
    <KeptJob
      job={job}
      library={business.library}
      isOpen={open === job.id}
      onOpen={() => setOpen(open === job.id ? null : job.id)}
    />
  );
  return (
    <Screen title="Jobs kept ready" measured>
      <Heading level={1}>Jobs kept ready</Heading>
      <Words tone="muted">
        {`${countOf(business.library.length, "job")}. One that proved itself comes from its quote: “Keep in the library”, on the job.`}
      </Words>
      {seesCost ? (
        <>
          <Button
            kind="quiet"
            label="Begin a new job"
            onPress={() => router.navigate(`/settings/library/${uuid()}?begin=job`)}
          />
          <Button
            kind="quiet"
            label="Begin a whole order"
            onPress={() => router.navigate(`/settings/library/${uuid()}?begin=order`)}
          />
          <LibraryFile />
        </>
      ) : null}
      <LibraryChanges timeZone={business.timeZone} />
      <Field label="Find a job" value={typed} onChangeText={setTyped} maxLength={120} />
      {shown.length === 0 ? (
        <Notice
          kind="note"
          text={typed === "" ? "No job is kept ready yet." : `No job has “${typed.trim()}” in title, area or parts.`}
        />
      ) : null}
      <View {...rowKeys}>
        <LongList items={shown} keyOf={idOf} draw={draw} label="Jobs kept ready" itemHeight={LINE_HEIGHT} />
      </View>
    </Screen>
  );
}

interface KeptJobProps {
  job: LibraryJob;
  library: readonly LibraryJob[];
  isOpen: boolean;
  onOpen: () => void;
}

function KeptJob({ job, library, isOpen, onOpen }: KeptJobProps) {
  const colors = useColors();
  return (
    <View style={[styles.line, { borderColor: colors.hairline }]}>
      <Press label={`${job.title}, ${job.area}`} aria-expanded={isOpen} onPress={onOpen} testID={ROW}>
        <Words strong tone="petrol">
          {job.title}
        </Words>
        <Words size="small" tone="muted">
          {job.area}
        </Words>
      </Press>
      {isOpen ? <Inside job={job} library={library} /> : null}
    </View>
  );
}

function Inside({ job, library }: { job: LibraryJob; library: readonly LibraryJob[] }) {
  const router = useRouter();
  const seesCost = useRight("seeCost");
  const queries = useQueryClient();
  const [isSure, setSure] = useState(false);
  const [fault, setFault] = useState<string | null>(null);
  const remove = async (): Promise<void> => {
    setFault(null);
    try {
      await call(routes.removeLibraryJob, { params: { id: job.id } });
      await queries.invalidateQueries({ queryKey: ["libraryChanges"] });
      await queries.invalidateQueries({ queryKey: ["business"] });
    } catch (error) {
      setFault(errorWords(error));
    }
  };
  return (
    <View style={styles.inside}>
      {job.lines.map((line) => (
        <Words key={line.id} size="small" figures>
          {lineWords(line)}
        </Words>
      ))}
      {job.brings.map(({ libraryJobId }) => (
        <Words key={libraryJobId} size="small">
          {library.find(({ id }) => id === libraryJobId)?.title ?? "A job that is in the library no more"}
        </Words>
      ))}
      {job.words.mechanic === "" ? null : (
        <Words size="small" tone="muted">
          {job.words.mechanic}
        </Words>
      )}
      {fault ? <Notice text={fault} /> : null}
      {seesCost ? (
        <Button
          kind="quiet"
          label={`Change ${job.title.toLowerCase()}`}
          onPress={() => router.navigate(`/settings/library/${job.id}`)}
        />
      ) : null}
      {isSure ? (
        <>
          <Notice kind="note" text="Quotes keep what they were given of it; it is offered no more." />
          <Button label={`Take ${job.title.toLowerCase()} out`} onPress={() => void remove()} testID="remove-job" />
          <Button kind="quiet" label="No, keep it" onPress={() => setSure(false)} />
        </>
      ) : (
        <Button
          kind="quiet"
          label={`Take ${job.title.toLowerCase()} out of the library`}
          onPress={() => setSure(true)}
        />
      )}
      <NeedsSignal what="Taking a job out" />
    </View>
  );
}

function lineWords(line: QuoteLine): string {
  return `${showAmount(line)} ${line.description}`;
}

const styles = StyleSheet.create({
  line: { borderTopWidth: 1, paddingVertical: SPACE.xs },
  inside: { gap: SPACE.xs, paddingBottom: SPACE.m },
});
