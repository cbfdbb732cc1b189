import { useState } from "react";
import { StyleSheet, View } from "react-native";
import { countOf, openConcerns } from "@mechanon/core";
import type { WorkOrderView } from "@mechanon/contract";
import { ConcernLine } from "../concerns/ConcernLine";
import type { Business } from "../session/useSession";
import { Fold } from "../ui/Fold";
import { SPACE } from "../ui/theme";

/** The sheet opens with why they called; a line once all is answered. */
export function ConcernsPart({ view, business }: { view: WorkOrderView; business: Business }) {
  const { concerns, jobs } = view.state;
  const open = openConcerns(concerns, jobs);
  const [isOpen, setOpen] = useState(true);
  if (concerns.length === 0) return null;
  return (
    <Fold
      title="Why they called"
      line={open.length === 0 ? "All answered" : countOf(open.length, "open", "open")}
      open={isOpen}
      onToggle={() => setOpen(!isOpen)}
      testID="check-concerns"
    >
      <View style={styles.list}>
        {concerns.map((concern) => (
          <ConcernLine key={concern.id} concern={concern} view={view} business={business} />
        ))}
      </View>
    </Fold>
  );
}

const styles = StyleSheet.create({ list: { gap: SPACE.m } });
