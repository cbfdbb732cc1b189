import { zodResolver } from "@hookform/resolvers/zod";
import { useQueryClient } from "@tanstack/react-query";
import { useMemo, useState } from "react";
import { StyleSheet, View } from "react-native";
import { useForm } from "react-hook-form";
import { v7 as uuid } from "uuid";
import { z } from "zod";
import { routes } from "@mechanon/contract";
import { call } from "../api/call";
import { errorWords } from "../api/problem";
import { NeedsSignal } from "../offline/NeedsSignal";
import { Button } from "../ui/Button";
import { FormField } from "../ui/FormField";
import { Notice } from "../ui/Notice";
import { SPACE } from "../ui/theme";
import { useUnsavedFields } from "../unsaved/useUnsavedFields";

const keptAs = routes.keepLibraryJob.body.pick({ title: true, area: true });

interface KeepJobProps {
  workOrderId: string;
  /** Null: all jobs of it, as a whole order. */
  jobId: string | null;
  /** As it is called, unless somebody says otherwise. */
  initial: z.input<typeof keptAs>;
}

/** Keeps a job of this work order in the library, or all of them as one, for the next car. */
export function KeepJob(props: KeepJobProps) {
  const [isOpen, setOpen] = useState(false);
  const [said, setSaid] = useState<string | null>(null);
  const label = props.jobId === null ? "Keep all of it as one order" : "Keep in the library";
  if (said) return <Notice kind="note" text={said} />;
  if (!isOpen) return <Button kind="quiet" label={label} onPress={() => setOpen(true)} />;
  return <KeptAs {...props} onKept={setSaid} />;
}

function KeptAs({ workOrderId, jobId, initial, onKept }: KeepJobProps & { onKept: (said: string) => void }) {
  const queries = useQueryClient();
  const [fault, setFault] = useState<string | null>(null);
  // The same however often it is pressed: an answer that was lost keeps nothing twice.
  const id = useMemo(() => uuid(), []);
  const form = useForm<z.input<typeof keptAs>, unknown, z.output<typeof keptAs>>({
    resolver: zodResolver(keptAs),
    defaultValues: initial,
  });
  const { control, handleSubmit, formState } = form;
  const { drop } = useUnsavedFields(`keep-job/${jobId ?? workOrderId}`, form, initial);
  const keep = handleSubmit(async (named) => {
    setFault(null);
    try {
      await call(routes.keepLibraryJob, { body: { id, workOrderId, jobId, ...named } });
      await queries.invalidateQueries({ queryKey: ["business"] });
      drop();
      onKept(`“${named.title}” is in the library now, under ${named.area}.`);
    } catch (error) {
      setFault(errorWords(error));
    }
  });
  return (
    <View style={styles.list}>
      <FormField control={control} name="title" label="Title in the library" maxLength={120} />
      <FormField control={control} name="area" label="Area" maxLength={60} />
      {fault ? <Notice text={fault} /> : null}
      <NeedsSignal what="Keeping it" isTyped />
      <Button label="Keep it" busy={formState.isSubmitting} onPress={() => void keep()} testID="keep-job" />
    </View>
  );
}

const styles = StyleSheet.create({ list: { gap: SPACE.s } });
