import { StyleSheet, View } from "react-native";
import { GRADES, type Grade } from "@mechanon/core";
import { useColors } from "../ui/face";
import { Press } from "../ui/Press";
import { SPACE } from "../ui/theme";
import { Words } from "../ui/Words";
import { GRADE_LOOK } from "./gradeLook";

interface GradeBarProps {
  /** Of what, for screen readers. */
  title: string;
  value: Grade | null;
  onGrade: (grade: Grade) => void;
  /** The likely next tap stands out. */
  isNext: boolean;
}

/** The five grades, each a gloved thumb wide. */
export function GradeBar({ title, value, onGrade, isNext }: GradeBarProps) {
  const colors = useColors();
  return (
    <View role="radiogroup" aria-label={`Grade of ${title}`} style={styles.bar} testID="grades">
      {GRADES.map((grade) => {
        const { label, icon: Icon } = GRADE_LOOK[grade];
        const isChosen = grade === value;
        const isLime = isNext && grade === "sound";
        const ink = isLime ? colors.onLime : isChosen ? colors.onPetrol : colors.ink;
        return (
          <Press
            key={grade}
            role="radio"
            label={label}
            aria-checked={isChosen}
            onPress={() => onGrade(grade)}
            style={[
              styles.grade,
              {
                borderColor: isLime ? colors.lime : isChosen ? colors.petrol : colors.muted,
                backgroundColor: isLime ? colors.lime : isChosen ? colors.petrol : colors.paper,
              },
            ]}
          >
            <View style={styles.inside}>
              <Icon size={22} color={ink} />
              <Words size="small" strong align="center" style={{ color: ink }} numberOfLines={1}>
                {label}
              </Words>
            </View>
          </Press>
        );
      })}
    </View>
  );
}

const styles = StyleSheet.create({
  bar: { flexDirection: "row", gap: 6 },
  grade: { flex: 1, minWidth: 0, minHeight: 64, borderWidth: 1.5, borderRadius: 4 },
  inside: { alignItems: "center", gap: 2, paddingHorizontal: SPACE.xs / 2 },
});
