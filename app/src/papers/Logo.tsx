import { Image, StyleSheet, View } from "react-native";
import { DAY_FACE, SPACE } from "../ui/theme";

/** A logo on the ground of paper, whatever the face. */
export function Logo({ uri, name }: { uri: string; name: string }) {
  return (
    <View style={styles.logoGround}>
      <Image source={{ uri }} style={styles.logo} resizeMode="contain" alt={name} accessibilityLabel={name} />
    </View>
  );
}

const styles = StyleSheet.create({
  logoGround: { backgroundColor: DAY_FACE.paper, alignSelf: "flex-start", padding: SPACE.s },
  logo: { width: 200, height: 60 },
});
