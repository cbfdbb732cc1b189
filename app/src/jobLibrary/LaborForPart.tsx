import { useState } from "react";
import { View } from "react-native";
import { partName, type PartLine } from "@mechanon/core";
import type { WorkOrderView } from "@mechanon/contract";
import type { Business } from "../session/useSession";
import { Button } from "../ui/Button";
import { Words } from "../ui/Words";
import { addFromGuide } from "./addFromGuide";
import { GuideLabor } from "./GuideLabor";
import { guideMatches } from "./guideMatches";
import { useFitter } from "./useFitter";

interface LaborForPartProps {
  line: PartLine;
  jobId: string;
  view: WorkOrderView;
  business: Business;
}

/** From a part on the quote to the guide's labor for it, as a line of the same job. */
export function LaborForPart({ line, jobId, view, business }: LaborForPartProps) {
  const [isOpen, setOpen] = useState(false);
  const fitter = useFitter(view, business);
  const name = partName(line.description);
  const matches = isOpen ? guideMatches(business.guide, name, fitter.facts) : [];
  if (!isOpen) return <Button kind="quiet" label={`Labor for ${name.toLowerCase()}`} onPress={() => setOpen(true)} />;
  return (
    <View>
      {matches.length === 0 ? (
        <Words tone="muted">{`The guide has no labor for “${name}”. Add a line with the hours.`}</Words>
      ) : null}
      <GuideLabor
        matches={matches}
        onAdd={(operationId, positions) => {
          addFromGuide(view.state.id, { operationId, positions, jobId }, fitter);
          setOpen(false);
        }}
      />
    </View>
  );
}
