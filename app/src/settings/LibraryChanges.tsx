import { useQueryClient } from "@tanstack/react-query";
import { useState } from "react";
import { useHotkeys } from "react-hotkeys-hook";
import { StyleSheet, View } from "react-native";
import { showMoment } from "@mechanon/core";
import { routes, type LibraryChange } from "@mechanon/contract";
import { call } from "../api/call";
import { errorWords } from "../api/problem";
import { useToday } from "../day/useDay";
import { useAnswer } from "../offline/useAnswer";
import { Button } from "../ui/Button";
import { useColors } from "../ui/face";
import { Heading } from "../ui/Heading";
import { Notice } from "../ui/Notice";
import { SPACE } from "../ui/theme";
import { Words } from "../ui/Words";

const KINDS: Record<LibraryChange["kind"], string> = { added: "kept", changed: "changed", removed: "taken out" };
const FEW = 5;

/** Who changed which job when; each change can be taken back, the last one by the keys for undo, too. */
export function LibraryChanges({ timeZone }: { timeZone: string }) {
  const colors = useColors();
  const queries = useQueryClient();
  const today = useToday();
  const [said, setSaid] = useState<{ kind: "fault" | "note"; text: string } | null>(null);
  const [isWhole, setWhole] = useState(false);
  const { data } = useAnswer({
    key: ["libraryChanges"],
    schema: routes.libraryChanges.answer,
    load: () => call(routes.libraryChanges, {}),
    staleTime: 0,
  });
  const changes = data?.changes ?? [];
  const undo = async ({ id, title }: LibraryChange): Promise<void> => {
    try {
      await call(routes.undoLibraryChange, { params: { id } });
      await queries.invalidateQueries({ queryKey: ["libraryChanges"] });
      await queries.invalidateQueries({ queryKey: ["business"] });
      setSaid({ kind: "note", text: `Taken back: “${title}” is as it was before. That can be taken back, too.` });
    } catch (error) {
      setSaid({ kind: "fault", text: errorWords(error) });
    }
  };
  const [last] = changes;
  useHotkeys("mod+z", () => void (last && undo(last)), { preventDefault: true }, [last]);
  if (!last) return null;
  return (
    <View style={styles.list}>
      <Heading level={2}>Last changes</Heading>
      {said ? <Notice {...said} /> : null}
      <View role="list" aria-label="Last changes">
        {changes.slice(0, isWhole ? changes.length : FEW).map((change) => (
          <View key={change.id} role="listitem" style={[styles.change, { borderColor: colors.hairline }]}>
            <View style={styles.grow}>
              <Words>{`${change.title}, ${KINDS[change.kind]}`}</Words>
              <Words size="small" tone="muted">
                {[change.by || "Somebody who left", showMoment(change.at, timeZone, today)].join(" · ")}
              </Words>
            </View>
            <Button
              kind="quiet"
              label="Take back"
              spoken={`Take back: ${change.title}, ${KINDS[change.kind]}`}
              onPress={() => void undo(change)}
            />
          </View>
        ))}
      </View>
      {!isWhole && changes.length > FEW ? (
        <Button kind="quiet" label={`All ${changes.length} last changes`} onPress={() => setWhole(true)} />
      ) : null}
    </View>
  );
}

const styles = StyleSheet.create({
  list: { gap: SPACE.xs },
  change: { flexDirection: "row", alignItems: "center", borderTopWidth: 1, paddingVertical: SPACE.xs, gap: SPACE.s },
  grow: { flex: 1 },
});
