import { StyleSheet, View } from "react-native";
import { countOf, showTime } from "@mechanon/core";
import { useBusiness } from "../session/useSession";
import { Button } from "../ui/Button";
import { Heading } from "../ui/Heading";
import { Notice } from "../ui/Notice";
import { Row } from "../ui/Row";
import { Screen } from "../ui/Screen";
import { SPACE } from "../ui/theme";
import { Words } from "../ui/Words";
import { actWords } from "./actWords";
import { letGoOfPhoto, sendPhotoAgain } from "./photoActs";
import { RefusedAct } from "./RefusedAct";
import { retryNow } from "./sender";
import { useSync } from "./state";
import { SyncLine } from "./SyncLine";

/** Everything that was done on this device and is not at the server: what was not taken, and what waits. */
export function WaitingScreen() {
  const zone = useBusiness()?.timeZone ?? "utc";
  const { pending, refused, photos, halted } = useSync();
  const lost = photos.filter(({ refusal }) => refusal !== null);
  const waitingPhotos = photos.length - lost.length;
  const waits = pending.length + waitingPhotos > 0;
  return (
    <Screen
      title="What waits"
      foot={
        <>
          {waits ? <Button kind="next" label="Send now" onPress={retryNow} testID="send-now" /> : null}
          <SyncLine />
        </>
      }
    >
      <Heading level={1}>What waits</Heading>
      {halted ? <Notice text={halted} /> : null}
      {refused.length + lost.length > 0 ? (
        <View style={styles.list}>
          <Heading level={2}>Not taken</Heading>
          {refused.map((item) => (
            <RefusedAct key={item.id} item={item} />
          ))}
          {lost.map((photo) => (
            <View key={photo.id}>
              <Notice text={`A photo was not taken. ${photo.refusal ?? ""}`} />
              <View style={styles.ways}>
                <Button label="Send it again" onPress={() => void sendPhotoAgain(photo.id)} />
                <Button kind="quiet" label="Let go of the photo" onPress={() => void letGoOfPhoto(photo)} />
              </View>
            </View>
          ))}
        </View>
      ) : null}
      <Heading level={2}>To be sent</Heading>
      {waits ? null : <Words tone="muted">Nothing. What you do without signal stands here until it is sent.</Words>}
      {pending.map((item) => (
        <Row key={item.id} left={actWords(item).replace(/,$/, "")} right={showTime(item.at, zone)} />
      ))}
      {waitingPhotos > 0 ? <Words>{countOf(waitingPhotos, "photo")}</Words> : null}
    </Screen>
  );
}

const styles = StyleSheet.create({
  list: { gap: SPACE.m },
  ways: { flexDirection: "row", flexWrap: "wrap", columnGap: SPACE.xl },
});
