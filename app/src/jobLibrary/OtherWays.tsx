import { StyleSheet, View } from "react-native";
import { MOST_OTHER_WAYS, wayTitle, type Job, type JobFit, type LibraryJob } from "@mechanon/core";
import type { WorkOrderView } from "@mechanon/contract";
import { v7 as uuid } from "uuid";
import { sendCommand } from "../sync/give";
import { Button } from "../ui/Button";
import { SPACE } from "../ui/theme";

interface OtherWaysProps {
  job: Job;
  fit: JobFit;
  template: LibraryJob;
  view: WorkOrderView;
}

/** Other qualities of the library to offer beside the one that stands: the customer chooses on paper and page. */
export function OtherWays({ job, fit, template, view: { state } }: OtherWaysProps) {
  const others = job.others ?? [];
  const offered = new Set([job.fit?.variantId ?? null, ...others.map((other) => other.fit?.variantId ?? null)]);
  const left = [null, ...template.variants.map(({ id }) => id)].filter((variantId) => !offered.has(variantId));
  if (template.variants.length === 0) return null;
  const offer = (variantId: string | null): void =>
    sendCommand(state.id, {
      ...{ type: "offerOtherWay", jobId: job.id, otherId: uuid() },
      fit: { ...fit, positions: [...fit.positions], variantId },
    });
  return (
    <View style={styles.list}>
      {others.length < MOST_OTHER_WAYS && job.answer?.value !== "yes"
        ? left.map((variantId) => (
            <Button
              key={variantId ?? "first"}
              kind="quiet"
              label={`Offer ${wayTitle(template, variantId).toLowerCase()} beside it`}
              onPress={() => offer(variantId)}
            />
          ))
        : null}
    </View>
  );
}

const styles = StyleSheet.create({
  list: { gap: SPACE.xs },
});
