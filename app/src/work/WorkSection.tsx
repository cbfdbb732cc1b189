import { useRouter } from "expo-router";
import { StyleSheet, View } from "react-native";
import { CircleCheck, CircleDashed, FileText } from "../ui/icons";
import { approvedJobs, countOf, showMoment } from "@mechanon/core";
import { useToday } from "../day/useDay";
import { PicturesOf } from "../photos/PicturesOf";
import { sendCommand } from "../sync/give";
import { Button } from "../ui/Button";
import { useColors } from "../ui/face";
import { SPACE } from "../ui/theme";
import { Words } from "../ui/Words";
import type { WorkOrderSection, WorkOrderSectionProps } from "./workOrderSection";

/** What was agreed, to be finished. */
export const workSection: WorkOrderSection = {
  name: "work",
  title: "Work",
  acts: ["finishJobs"],
  line: ({ view: { state } }) => {
    const agreed = approvedJobs(state);
    const done = agreed.filter(({ finishedAt }) => finishedAt !== null).length;
    return agreed.length === 0 ? "Nothing agreed yet" : `${done} of ${countOf(agreed.length, "job")} finished`;
  },
  Body: WorkSection,
};

/** The agreed jobs, and which are finished. */
export function WorkSection({ view, business }: WorkOrderSectionProps) {
  const colors = useColors();
  const today = useToday();
  const router = useRouter();
  const jobs = approvedJobs(view.state);
  const sheet = (
    <Button
      icon={FileText}
      label="Mechanic’s sheet"
      onPress={() => router.navigate(`/work/${view.state.id}/papers/mechanicsSheet`)}
    />
  );
  if (jobs.length === 0)
    return (
      <View style={styles.list}>
        <Words tone="muted">Nothing is agreed yet. Agreed jobs show up here to be finished.</Words>
        {sheet}
      </View>
    );
  return (
    <View style={styles.list}>
      {sheet}
      {jobs.map((job) => (
        <View key={job.id} style={styles.row}>
          {job.finishedAt ? (
            <CircleCheck size={22} color={colors.ink} />
          ) : (
            <CircleDashed size={22} color={colors.ink} />
          )}
          <View style={styles.grow}>
            <Words strong>{job.title}</Words>
            {job.finishedAt ? (
              <Words
                size="small"
                tone="muted"
                figures
              >{`Finished ${showMoment(job.finishedAt, business.timeZone, today)}`}</Words>
            ) : null}
          </View>
          {job.finishedAt ? null : (
            <Button
              kind="quiet"
              label={`Finish ${job.title.toLowerCase()}`}
              onPress={() => sendCommand(view.state.id, { type: "finishJobs", jobIds: [job.id] })}
            />
          )}
          <View style={styles.whole}>
            <PicturesOf of="job" id={job.id} title={job.title} label="Photo" view={view} />
          </View>
        </View>
      ))}
      <Words strong>Hand-back</Words>
      <PicturesOf of="handBack" id="" title="The hand-back" label="Photo of the hand-back" view={view} />
    </View>
  );
}

const styles = StyleSheet.create({
  list: { gap: SPACE.s },
  row: { flexDirection: "row", gap: SPACE.s, alignItems: "center", flexWrap: "wrap" },
  grow: { flex: 1 },
  whole: { width: "100%" },
});
