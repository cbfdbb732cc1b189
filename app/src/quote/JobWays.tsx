import { useState } from "react";
import { MOST_OTHER_WAYS, type Job } from "@mechanon/core";
import { v7 as uuid } from "uuid";
import { sendCommand } from "../sync/give";
import { Button } from "../ui/Button";
import { Field } from "../ui/Field";
import { Words } from "../ui/Words";
import { FigureField } from "./FigureField";

const MOST_LETTERS = 80;
/** What the way that stood is called until somebody calls it otherwise. */
const FIRST = "Standard";

interface JobWaysProps {
  workOrderId: string;
  job: Job;
}

/** The ways a job is offered in, in words of ours: called otherwise, and one more put together by hand. */
export function JobWays({ workOrderId, job: { id: jobId, way, others = [], answer, setPrice } }: JobWaysProps) {
  const [title, setTitle] = useState("");
  const ways = way ? [way, ...others] : others;
  const add = (): void => {
    const called = title.trim();
    if (called === "") return;
    sendCommand(workOrderId, { type: "addWay", jobId, otherId: uuid(), title: called, standingTitle: FIRST });
    setTitle("");
  };
  if (answer?.value === "yes") return <Words tone="muted">They said yes to one way of it.</Words>;
  return (
    <>
      {ways.map(({ id: otherId, title: called }) => (
        <FigureField
          key={otherId ?? "first"}
          label={`What ${called.toLowerCase()} is called`}
          value={called}
          show={(name) => name}
          read={(typed) => (typed.trim() === "" ? null : typed.trim().slice(0, MOST_LETTERS))}
          looksLike="a name is needed"
          isWords
          onSave={(name) => sendCommand(workOrderId, { type: "nameWay", jobId, otherId, title: name })}
        />
      ))}
      {setPrice ? (
        <Words tone="muted">One price for the whole job is for its own lines: it is offered in one way.</Words>
      ) : others.length >= MOST_OTHER_WAYS ? (
        <Words tone="muted">Three ways are offered: as many as anybody compares.</Words>
      ) : (
        <>
          <Field
            label="One more way, called"
            hint="it begins as a copy; change its lines, the other stays beside it"
            value={title}
            maxLength={MOST_LETTERS}
            onChangeText={setTitle}
            onSubmitEditing={add}
          />
          <Button label="Offer one more way" disabled={title.trim() === ""} onPress={add} />
        </>
      )}
    </>
  );
}
