import type { ConcernGap, ConcernPhrase } from "@mechanon/core";

/** What customers of the demo call about. */
export const CONCERNS: ConcernPhrase[] = [
  { id: "brakes-grind", text: "Brakes grind {when}", kind: "fault", area: "Brakes" },
  { id: "brakes-squeal", text: "Brakes squeal when cold", kind: "fault", area: "Brakes" },
  { id: "no-start", text: "Will not start, only clicks", kind: "fault", area: "Starting" },
  { id: "slow-crank", text: "Cranks slowly in the morning", kind: "fault", area: "Starting" },
  { id: "warning-light", text: "Engine warning light is on", kind: "fault", area: "Engine" },
  { id: "oil-light", text: "Oil light flickers {when}", kind: "fault", area: "Engine" },
  { id: "runs-hot", text: "Temperature needle climbs", kind: "fault", area: "Engine" },
  { id: "hum-speed", text: "Hums louder with speed, {where} {how often}", kind: "fault", area: "Wheels" },
  { id: "clunk-bumps", text: "Clunks over bumps, {where}", kind: "fault", area: "Underneath" },
  { id: "pulls", text: "Pulls to one side {when}", kind: "fault", area: "Brakes" },
  { id: "pedal-soft", text: "Brake pedal is soft", kind: "fault", area: "Brakes" },
  { id: "vibrates", text: "Vibrates {when}, {where}", kind: "fault", area: "Wheels" },
  { id: "leaks", text: "Leaks fluid, {where} {how often}", kind: "fault", area: "Engine" },
  { id: "smells", text: "Smells of {smell}", kind: "fault", area: "Engine" },
  { id: "stalls", text: "Stalls {when} {how often}", kind: "fault", area: "Engine" },
  { id: "shifts-hard", text: "Shifts hard {when}", kind: "fault", area: "Transmission" },
  { id: "ac-warm", text: "Air conditioning blows warm", kind: "fault", area: "Comfort" },
  { id: "window-stuck", text: "Window does not move, {where}", kind: "fault", area: "Comfort" },
  { id: "light-out", text: "A light is out, {where}", kind: "fault", area: "Outside" },
  { id: "battery-dies", text: "Battery is flat {how often}", kind: "fault", area: "Starting" },
  { id: "buying", text: "Look at it before they buy it", kind: "wish", area: "Service" },
  { id: "trip", text: "Ready for a long trip", kind: "wish", area: "Service" },
  { id: "oil-due", text: "Oil change is due", kind: "wish", area: "Service" },
  { id: "wipers-new", text: "New wipers", kind: "wish", area: "Outside" },
  { id: "tires-new", text: "New tires", kind: "wish", area: "Wheels" },
  { id: "check-over", text: "Check the car over", kind: "wish", area: "Service" },
];

export const CONCERN_GAPS: ConcernGap[] = [
  { name: "when", choices: ["when cold", "when hot", "above 40", "when turning", "when braking", "in the rain"] },
  { name: "where", choices: ["front left", "front right", "rear left", "rear right", "under the hood"] },
  { name: "smell", choices: ["gasoline", "burning", "something sweet", "bad eggs"] },
  { name: "how often", choices: ["always", "now and then", "since yesterday", "for weeks"] },
];
