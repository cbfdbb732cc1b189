import { useEffect, useMemo } from "react";
import { Image, StyleSheet, View } from "react-native";
import { useSync } from "../sync/store";
import { SPACE } from "../ui/theme";

const SIDE = 104;

/** Photos in a row; one that is not sent yet is shown from this device. */
export function PhotoStrip({ ids, title }: { ids: readonly string[]; title: string }) {
  if (ids.length === 0) return null;
  return (
    <View style={styles.strip}>
      {ids.map((id, index) => (
        <Photo key={id} id={id} label={`${title}, photo ${index + 1}`} />
      ))}
    </View>
  );
}

function Photo({ id, label }: { id: string; label: string }) {
  const blob = useSync((state) => state.photos.find((photo) => photo.id === id)?.blob);
  const local = useMemo(() => (blob ? URL.createObjectURL(blob) : null), [blob]);
  useEffect(() => () => (local ? URL.revokeObjectURL(local) : undefined), [local]);
  return (
    <Image source={{ uri: local ?? `/api/photos/${id}` }} alt={label} accessibilityLabel={label} style={styles.photo} />
  );
}

const styles = StyleSheet.create({
  strip: { flexDirection: "row", flexWrap: "wrap", gap: SPACE.s },
  photo: { width: SIDE, height: SIDE, borderRadius: 4 },
});
