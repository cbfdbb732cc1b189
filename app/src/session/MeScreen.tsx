import { useRouter } from "expo-router";
import { Linking, View } from "react-native";
import { NewerVersion } from "../offline/NewerVersion";
import { Button } from "../ui/Button";
import { Choices } from "../ui/Choices";
import { useFaceChoice } from "../ui/face";
import { Heading } from "../ui/Heading";
import { Screen } from "../ui/Screen";
import { SPACE } from "../ui/theme";
import { Words } from "../ui/Words";
import { LeaveSection } from "./LeaveSection";
import { OwnSessions } from "./OwnSessions";
import { useBusiness, useMe, useRight } from "./useSession";

const FACES = [
  { value: "auto", label: "Like the device" },
  { value: "day", label: "Day" },
  { value: "night", label: "Night" },
] as const;

/** The person signed in: the face of the app, the simulated outside, signing out. */
export function MeScreen() {
  const { me } = useMe();
  const business = useBusiness();
  const router = useRouter();
  const seesCost = useRight("seeCost");
  const mayChangeSettings = useRight("settings");
  const { choice, choose } = useFaceChoice();
  if (!me) return null;
  return (
    <Screen title="You" measured>
      <Heading level={1}>{me.name}</Heading>
      <Words tone="muted">{`${me.role}, ${me.business.name}`}</Words>
      <NewerVersion />
      <Heading level={2}>Face</Heading>
      <Choices label="Face" options={FACES} value={choice} onChoose={choose} />
      {business?.simulated ? (
        <View style={{ gap: SPACE.s }}>
          <Heading level={2}>The simulated outside</Heading>
          <Words tone="muted">
            Register, supplier, card terminal and messages are stand-ins here. Read what customers received, or make a
            service fail.
          </Words>
          <Button label="Customers' phones" onPress={() => void Linking.openURL(business.simulated?.messages ?? "")} />
          <Button label="Switches" onPress={() => void Linking.openURL(business.simulated?.switches ?? "")} />
        </View>
      ) : null}
      {mayChangeSettings ? (
        <View style={{ gap: SPACE.s }}>
          <Heading level={2}>The business</Heading>
          <Button label="What newcomers are asked" onPress={() => router.navigate("/settings/newcomers")} />
          <Button label="Ready phrases for concerns" onPress={() => router.navigate("/settings/concerns")} />
          <Button label="Jobs kept ready" onPress={() => router.navigate("/settings/library")} />
          <Button label="Hours and skills" onPress={() => router.navigate("/settings/crew")} />
          <Button label="Inspection sheets and points" onPress={() => router.navigate("/settings/inspection")} />
          <Button label="Visits: call-out, calling off, rain" onPress={() => router.navigate("/settings/visits")} />
          <Button label="Customers ask for a visit" onPress={() => router.navigate("/settings/requests")} />
          <Button label="What customers are told" onPress={() => router.navigate("/settings/messages")} />
          <Button label="Papers: logo, words, terms" onPress={() => router.navigate("/settings/papers")} />
          <Button label="Labor rates" onPress={() => router.navigate("/settings/rates")} />
          {seesCost ? (
            <>
              <Button
                label="Prices: markup, fees, discounts, taxes"
                onPress={() => router.navigate("/settings/prices")}
              />
              <Button label="What is on the vans" onPress={() => router.navigate("/settings/stock")} />
              <Button label="How people are paid" onPress={() => router.navigate("/settings/pay")} />
            </>
          ) : null}
          <Button label="Services and how often" onPress={() => router.navigate("/settings/services")} />
          <Button label="How long receipts open" onPress={() => router.navigate("/settings/receipts")} />
          <Button label="Bring in or take out customers" onPress={() => router.navigate("/transfer")} />
        </View>
      ) : null}
      <OwnSessions zone={me.business.timeZone} />
      <LeaveSection />
    </Screen>
  );
}
