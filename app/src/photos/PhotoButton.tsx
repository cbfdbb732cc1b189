import { Camera } from "../ui/icons";
import { createElement, useRef, useState, type ChangeEvent } from "react";
import { View } from "react-native";
import { attachPhoto } from "../sync/store";
import { Button } from "../ui/Button";
import { Words } from "../ui/Words";
import { shrinkPhoto } from "./shrink";

/** Takes a photo with the camera or picks a file, and keeps it with an inspection point. */
export function PhotoButton({ workOrderId, pointId, title }: { workOrderId: string; pointId: string; title: string }) {
  const input = useRef<HTMLInputElement>(null);
  const [fault, setFault] = useState<string | null>(null);
  const take = async (event: ChangeEvent<HTMLInputElement>): Promise<void> => {
    const file = event.target.files?.[0];
    event.target.value = "";
    if (!file) return;
    const small = await shrinkPhoto(file);
    setFault(
      small ? null : `${file.name} is no picture this device can read. Take the photo again or pick another file.`,
    );
    if (small) await attachPhoto(workOrderId, pointId, small);
  };
  return (
    <View>
      <Button kind="quiet" icon={Camera} label="Photo" onPress={() => input.current?.click()} />
      {createElement("input", {
        ref: input,
        type: "file",
        accept: "image/*",
        capture: "environment",
        "aria-label": `Photo of ${title}`,
        "data-testid": `photo-${pointId}`,
        style: { display: "none" },
        onChange: (event: ChangeEvent<HTMLInputElement>) => void take(event),
      })}
      {fault ? (
        <Words size="small" tone="alarm" role="alert">
          {`✕ ${fault}`}
        </Words>
      ) : null}
    </View>
  );
}
