import { nowhere } from "../work/nowhere";
import { placeLine } from "./placeLine";

it("says street and town, or the point of the pin, or that nobody knows", () => {
  expect(placeLine({ ...nowhere(), street: "3 Ebb Court", town: "Larkhaven" })).toBe("3 Ebb Court, Larkhaven");
  expect(placeLine({ ...nowhere(), latitude: 48.03125, longitude: -122.6 })).toBe("At the pin, 48.0313, -122.6000");
  expect(placeLine(nowhere())).toBe("No address yet");
});
