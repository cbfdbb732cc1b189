import { View } from "react-native";
import type { Position } from "@mechanon/core";
import { Heading } from "../ui/Heading";
import { ChoiceRow } from "./ChoiceRow";
import type { GuideMatch } from "./guideMatches";

interface GuideLaborProps {
  matches: readonly GuideMatch[];
  onAdd: (operationId: string, positions: Position[]) => void;
}

/** Labor the library has no job for, with the guide's hours on this car: one tap each. */
export function GuideLabor({ matches, onAdd }: GuideLaborProps) {
  if (matches.length === 0) return null;
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
              onAdd={positions.length > 0 ? null : () => onAdd(operation.id, [])}
              options={positions}
              onChoose={(option) => onAdd(operation.id, option.positions)}
            />
          </View>
        ))}
      </View>
    </View>
  );
}
