import { Image, StyleSheet, View } from "react-native";
import { SPACE } from "../../ui/theme";
import { useSpeaking } from "../language";

const SIDE = 104;

interface PagePhotosProps {
  title: string;
  ids: readonly string[];
  photoAt: (id: string) => string;
}

/** Photos in a row. */
export function PagePhotos({ title, ids, photoAt }: PagePhotosProps) {
  const { t } = useSpeaking();
  return (
    <View style={styles.strip}>
      {ids.map((id, index) => (
        <Image
          key={id}
          source={{ uri: photoAt(id) }}
          alt={`${title}, ${t("ask.photoOf", { number: index + 1 })}`}
          accessibilityLabel={`${title}, ${t("ask.photoOf", { number: index + 1 })}`}
          style={styles.photo}
        />
      ))}
    </View>
  );
}

const styles = StyleSheet.create({
  strip: { flexDirection: "row", flexWrap: "wrap", gap: SPACE.s },
  photo: { width: SIDE, height: SIDE, borderRadius: 4 },
});
