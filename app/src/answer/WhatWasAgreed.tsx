import { useQuery } from "@tanstack/react-query";
import { useState } from "react";
import { StyleSheet, View } from "react-native";
import { chosenWay, showMoment, showMoney, showPhone, shownLineWords } from "@mechanon/core";
import { routes, type AgreedCopy, type WorkOrderView } from "@mechanon/contract";
import { call } from "../api/call";
import { errorWords } from "../api/problem";
import { useToday } from "../day/useDay";
import type { Business } from "../session/useSession";
import { Fold } from "../ui/Fold";
import { Notice } from "../ui/Notice";
import { Row } from "../ui/Row";
import { SPACE } from "../ui/theme";
import { WaitingRows } from "../ui/WaitingRows";
import { Words } from "../ui/Words";
import { agreedWords, givenWords, WAY_WORDS } from "./agreedWords";

/** All that was answered, and the frozen copy of each: what was shown, to the cent. */
export function WhatWasAgreed({ view, business }: { view: WorkOrderView; business: Business }) {
  const [isOpen, setOpen] = useState(false);
  const today = useToday();
  const { approvals, takenBack = [], tolerated = [] } = view.state;
  if (approvals.length + takenBack.length === 0) return null;
  return (
    <Fold title="What was answered" line={agreedWords(view.state)} open={isOpen} onToggle={() => setOpen(!isOpen)}>
      <View style={styles.list}>
        {approvals.map((approval) => (
          <View key={approval.id} role="group" aria-label={`Answer of ${approval.name}`}>
            <Words strong>{`${approval.name}, ${WAY_WORDS[approval.way]}`}</Words>
            <Words size="small" tone="muted" figures>
              {[showMoment(approval.at, business.timeZone, today), approval.phone ? showPhone(approval.phone) : ""]
                .filter(Boolean)
                .join(", ")}
            </Words>
            {approval.answers.map((answer) => (
              <Row key={answer.jobId} left={givenWords(answer)} right={showMoney(answer.totalCents)} />
            ))}
          </View>
        ))}
        {takenBack.map(({ id, title, name, costCents }) => (
          <Words key={id}>{`${name} took the yes to ${title} back; ${showMoney(costCents)} stays to pay.`}</Words>
        ))}
        {tolerated.map(({ at, title, fromCents, toCents }) => (
          <Words key={`${at} ${title}`} size="small">
            {`${title} went from ${showMoney(fromCents)} to ${showMoney(toCents)}, within what was agreed beforehand.`}
          </Words>
        ))}
        <Frozen id={view.state.id} />
      </View>
    </Fold>
  );
}

/** The copies as the server keeps them: what nobody can change unseen. */
function Frozen({ id }: { id: string }) {
  const { data, error } = useQuery({
    queryKey: ["agreed", id],
    queryFn: () => call(routes.agreedCopies, { params: { id } }),
    staleTime: 0,
  });
  if (error) return <Notice kind="note" text={errorWords(error)} />;
  if (!data) return <WaitingRows label="Loading the frozen copies" rows={2} />;
  return data.copies.map((copy) => <FrozenCopy key={copy.place} copy={copy} />);
}

function FrozenCopy({ copy: { facts, place, link, person } }: { copy: AgreedCopy }) {
  const [isOpen, setOpen] = useState(false);
  if (facts.of === "photo")
    return <Words size="small">{`Frozen copy ${place}: a photo that was shown, and arrived afterwards`}</Words>;
  const lines = facts.shown?.jobs.flatMap((job) => {
    const way = chosenWay(job, { otherId: facts.answers.find(({ jobId }) => jobId === job.id)?.otherId });
    return [
      { key: job.id, words: job.title, cents: way.cents, isStrong: true },
      ...way.lines.map((line) => ({ key: line.id, words: shownLineWords(line), cents: line.cents, isStrong: false })),
    ];
  });
  const said = [person?.words, ...(person?.concerns ?? []), facts.shown?.terms].filter(Boolean).join(" · ");
  return (
    <Fold
      title={`Frozen copy ${place}`}
      line={`${person?.name ?? "Erased"}, ${showMoney(facts.totalCents)}`}
      open={isOpen}
      onToggle={() => setOpen(!isOpen)}
    >
      {(lines ?? []).map(({ key, words, cents, isStrong }) => (
        <Row key={key} strong={isStrong} tone={isStrong ? "ink" : "muted"} left={words} right={showMoney(cents)} />
      ))}
      <Row strong rule left="Agreed in all, with taxes" right={showMoney(facts.totalCents)} />
      {said === "" ? null : (
        <Words size="small" tone="muted">
          {said}
        </Words>
      )}
      <Words size="small" tone="muted">{`Link ${link.slice(0, 16)}…`}</Words>
    </Fold>
  );
}

const styles = StyleSheet.create({ list: { gap: SPACE.m } });
