import { useQueryClient } from "@tanstack/react-query";
import { useRouter } from "expo-router";
import { useState } from "react";
import { Linking, StyleSheet, View } from "react-native";
import { showVehicle } from "@mechanon/core";
import type { VehicleSheetView } from "@mechanon/contract";
import { errorWords } from "../api/problem";
import { askCustomer } from "../customers/askCustomer";
import { useDraft } from "../newWork/draft";
import { PhotoImage } from "../photos/PhotoImage";
import { useBusiness } from "../session/useSession";
import { SheetScreen } from "../sheet/SheetScreen";
import { SheetWaits } from "../sheet/SheetWaits";
import { Button } from "../ui/Button";
import { Heading } from "../ui/Heading";
import { Notice } from "../ui/Notice";
import { SPACE } from "../ui/theme";
import { useIsWide } from "../ui/useIsWide";
import { Words } from "../ui/Words";
import { CarFacts } from "./CarFacts";
import { CarForm } from "./CarForm";
import { carSections } from "./carSections";
import { OpenFacts } from "./OpenFacts";
import { useCarSheet } from "./useCarSheet";

/** A car: its work, what is due, what it needs, whose it is. */
export function CarSheet({ id }: { id: string }) {
  const { sheet, error, reload, answeredAt } = useCarSheet(id);
  if (!sheet) return <SheetWaits title="Car" error={error} onRetry={reload} />;
  return <Loaded key={id} sheet={sheet} answeredAt={answeredAt} />;
}

interface LoadedProps {
  sheet: VehicleSheetView;
  /** In milliseconds; 0: it was taken down here. */
  answeredAt: number;
}

function Loaded({ sheet, answeredAt }: LoadedProps) {
  const router = useRouter();
  const queries = useQueryClient();
  const isWide = useIsWide();
  const zone = useBusiness()?.timeZone ?? "UTC";
  const begin = useDraft((store) => store.begin);
  const [isEditing, setEditing] = useState(false);
  const [fault, setFault] = useState<string | null>(null);
  const { vehicle, owner } = sheet;
  const startWork = async (): Promise<void> => {
    try {
      const known = await askCustomer(queries, owner.id);
      begin({ known, car: { kind: "kept", vehicle, then: "nothing" } });
      router.navigate("/new");
    } catch (error) {
      setFault(errorWords(error));
    }
  };
  if (isEditing) return <CarForm vehicle={vehicle} onLeave={() => setEditing(false)} />;
  const foot = (
    <>
      {fault ? <Notice text={fault} /> : null}
      <Button kind="next" label={`New work order for this ${vehicle.make ?? "car"}`} onPress={() => void startWork()} />
    </>
  );
  const head = (
    <>
      <View style={styles.head}>
        {vehicle.photoId ? (
          <PhotoImage id={vehicle.photoId} label={`Photo of the ${showVehicle(vehicle)}`} style={styles.photo} />
        ) : null}
        <View style={styles.grow}>
          <Heading level={1}>{showVehicle(vehicle)}</Heading>
          <CarFacts car={vehicle} />
          {vehicle.vinNote ? <Words size="small" tone="alarm">{`VIN kept as read: ${vehicle.vinNote}`}</Words> : null}
        </View>
      </View>
      <View style={styles.links}>
        <Button kind="quiet" label={owner.name} onPress={() => router.navigate(`/customers/${owner.id}`)} />
        <Button kind="quiet" label="Change" onPress={() => setEditing(true)} testID="change-car" />
        <Button
          kind="quiet"
          label="History on paper"
          onPress={() => void Linking.openURL(`/api/vehicles/${vehicle.id}/history.pdf`)}
        />
      </View>
    </>
  );
  return (
    <SheetScreen
      title={showVehicle(vehicle)}
      id={vehicle.id}
      answeredAt={answeredAt}
      head={head}
      notices={<OpenFacts vehicle={vehicle} />}
      foot={foot}
      {...carSections(sheet, { zone, isWide })}
    />
  );
}

const styles = StyleSheet.create({
  head: { flexDirection: "row", gap: SPACE.m },
  photo: { width: 104, height: 78, borderRadius: 4 },
  grow: { flex: 1 },
  links: { flexDirection: "row", flexWrap: "wrap", columnGap: SPACE.s },
});
