import { StyleSheet, View } from "react-native";
import { askedCents, showMoney, type Job, type WorkOrderState } from "@mechanon/core";
import { sendCommand } from "../sync/give";
import { Button } from "../ui/Button";
import { SPACE } from "../ui/theme";
import { Words } from "../ui/Words";

interface WaysBesideProps {
  job: Job;
  state: WorkOrderState;
}

/** The other ways of a job at their prices: let another stand to change it, or offer one no more. */
export function WaysBeside({ job, state }: WaysBesideProps) {
  const { id: jobId, way, others = [], answer, finishedAt } = job;
  if (others.length === 0) return null;
  const isSettled = answer?.value === "yes" || finishedAt !== null;
  return (
    <View style={styles.list}>
      {way ? <Words size="small">{`This way: ${way.title}`}</Words> : null}
      {others.map(({ id: otherId, title, lines }) => {
        const asOther = { ...state, jobs: state.jobs.map((each) => (each.id === jobId ? { ...each, lines } : each)) };
        return (
          <View key={otherId ?? "first"} style={styles.row}>
            <Words
              size="small"
              style={styles.grow}
              figures
            >{`Beside it: ${title}, ${showMoney(askedCents(asOther, jobId))}`}</Words>
            {isSettled ? null : (
              <>
                <Button
                  kind="quiet"
                  label="Change"
                  spoken={`Change ${title}`}
                  onPress={() => sendCommand(state.id, { type: "standInWay", jobId, otherId })}
                />
                <Button
                  kind="quiet"
                  label="Take off"
                  spoken={`Offer ${title} no more`}
                  onPress={() => sendCommand(state.id, { type: "removeOtherWay", jobId, otherId })}
                />
              </>
            )}
          </View>
        );
      })}
    </View>
  );
}

const styles = StyleSheet.create({
  list: { gap: SPACE.xs },
  row: { flexDirection: "row", alignItems: "center", flexWrap: "wrap", gap: SPACE.s },
  grow: { flex: 1, minWidth: 160 },
});
