import { StyleSheet, View } from "react-native";
import { isLedToBy, type Job } from "@mechanon/core";
import type { WorkOrderView } from "@mechanon/contract";
import { sendCommand } from "../sync/give";
import { SPACE } from "../ui/theme";
import { Tick } from "../ui/Tick";
import { Words } from "../ui/Words";

/** What a diagnosis led to, one tick a repair: its price comes off there, where the owner credits it. */
export function LedTo({ diagnosis, view }: { diagnosis: Job; view: WorkOrderView }) {
  const { id, jobs, rules } = view.state;
  const repairs = jobs.filter((job) => !job.isDiagnosis && job.finishedAt === null);
  if (!diagnosis.isDiagnosis || !rules.diagnosisCreditPercent || repairs.length === 0) return null;
  const isKnown = jobs.some((job) => isLedToBy(diagnosis, job));
  return (
    <View role="group" aria-label={`What ${diagnosis.title} led to`} style={styles.group}>
      <Words size="small" strong>
        {isKnown ? "Led to" : "What did it lead to? Its price comes off there."}
      </Words>
      {repairs.map((repair) => (
        <Tick
          key={repair.id}
          label={repair.title}
          value={isLedToBy(diagnosis, repair)}
          onChange={(isLed) =>
            sendCommand(id, { type: "foundBy", jobId: repair.id, diagnosisId: isLed ? diagnosis.id : null })
          }
        />
      ))}
    </View>
  );
}

const styles = StyleSheet.create({ group: { paddingTop: SPACE.s } });
