import { zodResolver } from "@hookform/resolvers/zod";
import { useQueryClient } from "@tanstack/react-query";
import { useMemo, useState } from "react";
import { StyleSheet, View } from "react-native";
import { useForm } from "react-hook-form";
import { v7 as uuid } from "uuid";
import { z } from "zod";
import type { Job } from "@mechanon/core";
import { routes } from "@mechanon/contract";
import { call } from "../api/call";
import { errorWords } from "../api/problem";
import { NeedsSignal } from "../offline/NeedsSignal";
import type { Business } from "../session/useSession";
import { Button } from "../ui/Button";
import { FormField } from "../ui/FormField";
import { Notice } from "../ui/Notice";
import { SPACE } from "../ui/theme";
import { useUnsavedFields } from "../unsaved/useUnsavedFields";

const keptAs = routes.keepLibraryJob.body.pick({ title: true, area: true });

interface KeepJobProps {
  workOrderId: string;
  job: Job;
  business: Business;
}

/** Keeps a job of this work order in the library, for the next car. */
export function KeepJob({ workOrderId, job, business }: KeepJobProps) {
  const [isOpen, setOpen] = useState(false);
  const [said, setSaid] = useState<string | null>(null);
  if (said) return <Notice kind="note" text={said} />;
  if (!isOpen) return <Button kind="quiet" label="Keep in the library" onPress={() => setOpen(true)} />;
  return <KeptAs workOrderId={workOrderId} job={job} business={business} onKept={setSaid} />;
}

function KeptAs({ workOrderId, job, business, onKept }: KeepJobProps & { onKept: (said: string) => void }) {
  const queries = useQueryClient();
  const [fault, setFault] = useState<string | null>(null);
  // The same however often it is pressed: an answer that was lost keeps nothing twice.
  const id = useMemo(() => uuid(), []);
  const template = business.library.find((each) => each.id === job.libraryJobId);
  const initial = { title: job.title, area: template?.area ?? "Service" };
  const form = useForm<z.input<typeof keptAs>, unknown, z.output<typeof keptAs>>({
    resolver: zodResolver(keptAs),
    defaultValues: initial,
  });
  const { control, handleSubmit, formState } = form;
  const { drop } = useUnsavedFields(`keep-job/${job.id}`, form, initial);
  const keep = handleSubmit(async (named) => {
    setFault(null);
    try {
      await call(routes.keepLibraryJob, { body: { id, workOrderId, jobId: job.id, ...named } });
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
