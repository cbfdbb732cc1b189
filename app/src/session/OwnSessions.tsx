import { useQuery, useQueryClient } from "@tanstack/react-query";
import { useState } from "react";
import { StyleSheet, View } from "react-native";
import { showMoment } from "@mechanon/core";
import { routes, type OwnSession } from "@mechanon/contract";
import { call } from "../api/call";
import { errorWords } from "../api/problem";
import { useToday } from "../day/useDay";
import { Button } from "../ui/Button";
import { useColors } from "../ui/face";
import { Heading } from "../ui/Heading";
import { Notice } from "../ui/Notice";
import { SPACE } from "../ui/theme";
import { WaitingRows } from "../ui/WaitingRows";
import { Words } from "../ui/Words";

/** Where the person is signed in; a device that was lost or lent is signed out from here. */
export function OwnSessions({ zone }: { zone: string }) {
  const today = useToday();
  const queries = useQueryClient();
  const [fault, setFault] = useState<string | null>(null);
  const { data, error, refetch } = useQuery({
    queryKey: ["ownSessions"],
    queryFn: () => call(routes.ownSessions, {}),
  });
  const end = async (id: string): Promise<void> => {
    setFault(null);
    try {
      await call(routes.endOwnSession, { params: { id } });
      await queries.invalidateQueries({ queryKey: ["ownSessions"] });
    } catch (problem) {
      setFault(errorWords(problem));
    }
  };
  return (
    <View style={styles.list}>
      <Heading level={2}>Signed in on</Heading>
      {fault ? <Notice text={fault} /> : null}
      {data ? (
        data.sessions.map((session) => (
          <Session key={session.id} session={session} when={showMoment(session.seenAt, zone, today)} onEnd={end} />
        ))
      ) : error ? (
        <Notice text={errorWords(error)} action={{ label: "Try again", onPress: () => void refetch() }} />
      ) : (
        <WaitingRows label="Loading where you are signed in" />
      )}
    </View>
  );
}

interface SessionProps {
  session: OwnSession;
  when: string;
  onEnd: (id: string) => Promise<void>;
}

function Session({ session: { id, device, isThis }, when, onEnd }: SessionProps) {
  const colors = useColors();
  return (
    <View style={[styles.session, { borderColor: colors.hairline }]}>
      <View style={styles.grow}>
        <Words strong>{device || "Unknown device"}</Words>
        <Words size="small" tone="muted">
          {isThis ? "This device" : `Last used ${when}`}
        </Words>
      </View>
      {isThis ? null : (
        <Button kind="quiet" label="Sign out" spoken={`Sign out ${device}`} onPress={() => void onEnd(id)} />
      )}
    </View>
  );
}

const styles = StyleSheet.create({
  list: { gap: SPACE.s },
  session: { flexDirection: "row", alignItems: "center", gap: SPACE.m, borderTopWidth: 1, paddingVertical: SPACE.s },
  grow: { flex: 1 },
});
