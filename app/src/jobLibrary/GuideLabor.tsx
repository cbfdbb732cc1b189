import { View } from "react-native";
import { v7 as uuid } from "uuid";
import type { Position } from "@mechanon/core";
import { sendCommand } from "../sync/give";
import { Heading } from "../ui/Heading";
import { ChoiceRow } from "./ChoiceRow";
import type { GuideMatch } from "./guideMatches";
import type { Fitter } from "./jobChoice";

interface GuideLaborProps {
  workOrderId: string;
  /** The job it becomes a line of; absent: one of its own. */
  jobId?: string;
  matches: readonly GuideMatch[];
  fitter: Pick<Fitter, "facts" | "isAfterHours">;
  onAdded: () => void;
}

/** Labor the library has no job for, with the guide's hours on this car: a tap makes a job of it, or a line of one. */
export function GuideLabor({ workOrderId, jobId, matches, fitter: { facts, isAfterHours }, onAdded }: GuideLaborProps) {
  if (matches.length === 0) return null;
  const add = (operationId: string, positions: Position[]): void => {
    sendCommand(workOrderId, {
      type: "addOperation",
      jobId: jobId ?? uuid(),
      lineId: uuid(),
      operationId,
      positions,
      facts,
      isAfterHours,
      concernId: null,
    });
    onAdded();
  };
  return (
    <View>
      <Heading level={3}>Labor from the guide</Heading>
      <View role="list" aria-label="Labor from the guide">
        {matches.map(({ operation, hours, positions }) => (
          <View role="listitem" key={operation.id}>
            <ChoiceRow
              title={operation.title}
              spoken={`labor, ${operation.title}`}
              why={operation.inTheWay ?? operation.area}
              figure={hours ?? "not on this car"}
              isOffered={hours !== null}
              onAdd={positions.length > 0 ? null : () => add(operation.id, [])}
              options={positions}
              onChoose={(option) => add(operation.id, option.positions)}
            />
          </View>
        ))}
      </View>
    </View>
  );
}
