import { useMutation, useQuery, useQueryClient } from "@tanstack/react-query";
import { useState } from "react";
import { Linking, StyleSheet, View } from "react-native";
import { addDays, countOf } from "@mechanon/core";
import { routes, type BusinessView } from "@mechanon/contract";
import { addressOf, call } from "../api/call";
import { errorWords } from "../api/problem";
import { useToday } from "../day/useDay";
import { NeedsSignal } from "../offline/NeedsSignal";
import { useBusiness, useRight } from "../session/useSession";
import { FilePick } from "../transfer/FilePick";
import { Button } from "../ui/Button";
import { useColors } from "../ui/face";
import { Field } from "../ui/Field";
import { Heading } from "../ui/Heading";
import { Notice } from "../ui/Notice";
import { Screen } from "../ui/Screen";
import { SPACE } from "../ui/theme";
import { WaitingRows } from "../ui/WaitingRows";
import { Words } from "../ui/Words";
import { sendBusyTimes } from "./sendBusyTimes";

const TABLE_DAYS = 31;

/** The visits in other calendars, what other calendars say, and a table. */
export function CalendarLinksScreen() {
  const business = useBusiness();
  return business ? <Links business={business} /> : null;
}

function Links({ business }: { business: BusinessView }) {
  const today = useToday();
  const mayTakeOut = useRight("settings");
  const { data, error, refetch } = useQuery({
    queryKey: ["calendarLinks"],
    queryFn: () => call(routes.listCalendarLinks, {}),
  });
  return (
    <Screen title="In other calendars" measured>
      <Heading level={1}>In other calendars</Heading>
      <Words tone="muted">
        Any calendar program shows the visits by this link, with place and alarm; moved and called off visits follow.
        Whoever has the link sees them, so keep it to yourself, and renew it when it got around.
      </Words>
      <NeedsSignal what="Links and files" />
      {error ? (
        <Notice text={errorWords(error)} action={{ label: "Try again", onPress: () => void refetch() }} />
      ) : null}
      {!data && !error ? <WaitingRows label="Loading the links" /> : null}
      {data?.links.length === 0 ? <Words>Only who drives to customers has a calendar.</Words> : null}
      {data?.links.map(({ personId, url }) => (
        <Calendar key={personId} personId={personId} url={url} business={business} />
      ))}
      {mayTakeOut ? (
        <>
          <Heading level={2}>As a table</Heading>
          <Button
            label={`The last ${TABLE_DAYS} days, as a table (CSV)`}
            onPress={() =>
              void Linking.openURL(
                addressOf(routes.visitTable.path, {}, { from: addDays(today, 1 - TABLE_DAYS), to: today }),
              )
            }
          />
          <Button
            label={`The coming ${TABLE_DAYS} days, as a table (CSV)`}
            onPress={() =>
              void Linking.openURL(
                addressOf(routes.visitTable.path, {}, { from: today, to: addDays(today, TABLE_DAYS - 1) }),
              )
            }
          />
        </>
      ) : null}
    </Screen>
  );
}

function Calendar({ personId, url, business }: { personId: string; url: string | null; business: BusinessView }) {
  const colors = useColors();
  const queries = useQueryClient();
  const [isRenewing, setRenewing] = useState(false);
  const [said, setSaid] = useState<string | null>(null);
  const name = business.people.find(({ id }) => id === personId)?.name ?? "";
  const renew = useMutation({
    mutationFn: () => call(routes.renewCalendarLink, { params: { id: personId } }),
    onSuccess: (links) => {
      queries.setQueryData(["calendarLinks"], links);
      setRenewing(false);
      setSaid(null);
    },
  });
  const read = useMutation({
    mutationFn: (file: File) => sendBusyTimes(personId, file),
    onSuccess: ({ busy, leftOut, isCut }) =>
      setSaid(
        [
          `${countOf(busy, "appointment")} of the coming year ${busy === 1 ? "keeps" : "keep"} ${name} busy from now on.`,
          leftOut > 0 ? `${countOf(leftOut, "event")} free, called off, over or unreadable: left out.` : "",
          isCut ? "There are more than are kept; the last ones were left out." : "",
        ]
          .filter(Boolean)
          .join(" "),
      ),
  });
  const forget = useMutation({
    mutationFn: () => call(routes.forgetBusyTimes, { params: { id: personId } }),
    onSuccess: ({ forgotten }) => setSaid(`${countOf(forgotten, "appointment")} forgotten.`),
  });
  const fault = renew.error ?? read.error ?? forget.error;
  const copy = (link: string): void => {
    navigator.clipboard.writeText(link).then(
      () => setSaid("Copied. Put it into the calendar program as a calendar by address."),
      () => setSaid("This device does not copy. Mark the link and copy it by hand."),
    );
  };
  return (
    <View style={[styles.person, { borderColor: colors.hairline }]} role="group" aria-label={name}>
      <Heading level={2}>{name}</Heading>
      {url === null ? null : <Field label="Link" aria-label={`Link, ${name}`} value={url} readOnly mono />}
      <View style={styles.acts}>
        {url === null ? (
          <Button
            label="Make a link"
            spoken={`Make a link, ${name}`}
            busy={renew.isPending}
            onPress={() => renew.mutate()}
          />
        ) : isRenewing ? (
          <>
            <Button label="Renew it: the one of before ends" busy={renew.isPending} onPress={() => renew.mutate()} />
            <Button kind="quiet" label="Keep it" onPress={() => setRenewing(false)} />
          </>
        ) : (
          <>
            <Button label="Copy" spoken={`Copy, ${name}`} onPress={() => copy(url)} />
            <Button kind="quiet" label="Renew" spoken={`Renew, ${name}`} onPress={() => setRenewing(true)} />
          </>
        )}
      </View>
      <Words size="small" tone="muted">
        A calendar file (.ics) of their own keeps their time free; it replaces the one read before.
      </Words>
      <View style={styles.acts}>
        <FilePick
          label={`Calendar file, ${name}`}
          accept=".ics,text/calendar"
          busy={read.isPending}
          onPick={(file) => read.mutate(file)}
        />
        <Button kind="quiet" label="Forget it" spoken={`Forget it, ${name}`} onPress={() => forget.mutate()} />
      </View>
      {fault ? <Notice text={errorWords(fault)} /> : null}
      {said ? <Notice kind="note" text={said} /> : null}
    </View>
  );
}

const styles = StyleSheet.create({
  person: { borderTopWidth: 1, paddingTop: SPACE.m, gap: SPACE.s },
  acts: { flexDirection: "row", flexWrap: "wrap", gap: SPACE.s, alignItems: "center" },
});
