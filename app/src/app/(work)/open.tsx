import { OpenWork } from "../../day/OpenWork";

export default function Open() {
  return <OpenWork title="Open" />;
}
