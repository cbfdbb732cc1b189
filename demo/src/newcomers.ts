import type { NewcomerSettings } from "@mechanon/core";

/** What newcomers are asked. */
export const NEWCOMERS: NewcomerSettings = {
  foundUsBy: ["A friend", "The van on the street", "Web search", "Paper at the ferry", "Another garage"],
  questions: [
    { id: "recommended-by", text: "Who recommended us?", choices: [] },
    { id: "last-work", text: "What was last done to the car, and by whom?", choices: [] },
    { id: "parking", text: "Where is the car parked?", choices: ["Driveway", "Street", "Garage", "Lot at work"] },
  ],
};
