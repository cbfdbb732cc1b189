import { useState } from "react";
import { StyleSheet, View } from "react-native";
import { showDate } from "@mechanon/core";
import type { VehicleSheetView } from "@mechanon/contract";
import { LargePicture } from "../found/LargePicture";
import { PhotoStrip } from "../photos/PhotoStrip";
import { usePhoto } from "../photos/PhotoImage";
import { Button } from "../ui/Button";
import { SPACE } from "../ui/theme";
import { Words } from "../ui/Words";

type CarPicture = VehicleSheetView["pictures"][number];

/** Photos of a car by what they show, those of today beside last year's. */
export function CarPictures({ pictures, zone }: { pictures: readonly CarPicture[]; zone: string }) {
  const [openId, setOpenId] = useState<string | null>(null);
  if (pictures.length === 0) return <Words tone="muted">Photos of the check, of damage and of work stand here.</Words>;
  const titles = [...new Set(pictures.map(({ title }) => title))];
  const open = pictures.find(({ photoId }) => photoId === openId);
  return (
    <View style={styles.list}>
      {open ? <Large picture={open} zone={zone} onClose={() => setOpenId(null)} /> : null}
      {titles.map((title) => {
        const its = pictures.filter((picture) => picture.title === title);
        return (
          <View key={title} style={styles.list}>
            <Words strong>{title}</Words>
            <Words size="small" tone="muted" figures>
              {[...new Set(its.map(({ at, number }) => `${showDate(at, zone)}, No. ${number}`))].join(" · ")}
            </Words>
            <PhotoStrip pictures={its} title={title} onOpen={setOpenId} />
          </View>
        );
      })}
    </View>
  );
}

function Large({ picture, zone, onClose }: { picture: CarPicture; zone: string; onClose: () => void }) {
  const uri = usePhoto(picture.photoId);
  return (
    <View style={styles.list}>
      {uri === null ? null : <LargePicture uri={uri} label={picture.title} media={picture.media} />}
      <Words size="small" figures>{`${picture.title}, ${showDate(picture.at, zone)}`}</Words>
      <Button label="Close" onPress={onClose} />
    </View>
  );
}

const styles = StyleSheet.create({ list: { gap: SPACE.s } });
