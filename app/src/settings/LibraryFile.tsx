import { useQueryClient } from "@tanstack/react-query";
import { useState } from "react";
import { Linking, StyleSheet, View } from "react-native";
import { countOf } from "@mechanon/core";
import { routes, type LibraryFileAnswer } from "@mechanon/contract";
import { addressOf, call } from "../api/call";
import { errorWords } from "../api/problem";
import { NeedsSignal } from "../offline/NeedsSignal";
import { FilePick } from "../transfer/FilePick";
import { Button } from "../ui/Button";
import { Heading } from "../ui/Heading";
import { Notice } from "../ui/Notice";
import { SPACE } from "../ui/theme";
import { Words } from "../ui/Words";
import { libraryFileWords } from "./libraryFileWords";

/** More faults than these are not read one by one. */
const MOST_FAULTS = 20;

/** The library as a file, out and in; what a file would change is shown before it does. */
export function LibraryFile() {
  const queries = useQueryClient();
  const [tried, setTried] = useState<{ text: string; answer: LibraryFileAnswer } | null>(null);
  const [said, setSaid] = useState<{ kind: "note" | "fault"; text: string } | null>(null);
  const [isOpen, setOpen] = useState(false);
  const [busy, setBusy] = useState(false);
  const bringIn = async (text: string, isDry: boolean): Promise<void> => {
    setBusy(true);
    setSaid(null);
    try {
      const answer = await call(routes.bringInLibrary, { body: { text, isDry } });
      setTried(isDry ? { text, answer } : null);
      if (isDry) return;
      setSaid({ kind: "note", text: `Brought in: ${libraryFileWords(answer)}.` });
      await queries.invalidateQueries({ queryKey: ["business"] });
    } catch (error) {
      setSaid({ kind: "fault", text: errorWords(error) });
    } finally {
      setBusy(false);
    }
  };
  const changes = tried ? tried.answer.added + tried.answer.changed : 0;
  if (!isOpen) return <Button kind="quiet" label="In and out as a file" onPress={() => setOpen(true)} />;
  return (
    <View style={styles.list}>
      <Heading level={2}>As a file</Heading>
      <NeedsSignal what="Bringing in and taking out" />
      <Button
        label="Take the library out, as JSON"
        onPress={() => void Linking.openURL(addressOf(routes.libraryFile.path))}
      />
      <Button
        label="Take the library out, as a table (CSV)"
        onPress={() => void Linking.openURL(addressOf(routes.libraryTable.path))}
      />
      <Words size="small" tone="muted">
        The table has a row for each line; where jobs are done and their other qualities only come with the JSON, and
        stay as they are when a table is brought in.
      </Words>
      <FilePick
        label="File with jobs"
        accept=".json,.csv,application/json,text/csv"
        busy={busy}
        onPick={(file) => void file.text().then((text) => bringIn(text, true))}
      />
      {said ? <Notice {...said} /> : null}
      {tried ? (
        <>
          <Notice kind="note" text={`Only tried so far: ${libraryFileWords(tried.answer)}.`} />
          {tried.answer.faults.slice(0, MOST_FAULTS).map(({ row, title, words }) => (
            <Words key={row} size="small" tone="alarm">
              {row === 0 ? words : `No. ${row}${title === "" ? "" : `, ${title}`}: ${words}`}
            </Words>
          ))}
          {changes > 0 ? (
            <Button
              label={`Bring in ${countOf(changes, "job")}`}
              busy={busy}
              onPress={() => void bringIn(tried.text, false)}
              testID="bring-in-library"
            />
          ) : null}
          <Button kind="quiet" label="Leave the library as it is" onPress={() => setTried(null)} />
        </>
      ) : null}
    </View>
  );
}

const styles = StyleSheet.create({ list: { gap: SPACE.s } });
