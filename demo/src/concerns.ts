import type { ConcernGap, ConcernPhrase } from "@mechanon/core";

/** What customers of the demo call about. */
export const CONCERNS: ConcernPhrase[] = [
  { id: "brakes-grind", text: "Brakes grind {when}", kind: "fault", area: "Brakes", causes: ["Front pads worn to the metal", "Rear pads worn to the metal", "Stone between rotor and shield"], corrections: ["Replace pads and rotors", "Replace pads, clean slides", "Take the stone out, bend the shield back"] },
  { id: "brakes-squeal", text: "Brakes squeal when cold", kind: "fault", area: "Brakes", causes: ["Pads glazed", "Pads near their end", "Shims dry or missing"], corrections: ["Replace pads, clean slides", "Clean and grease the pads' edges", "Fit new shims"] },
  { id: "no-start", text: "Will not start, only clicks", kind: "fault", area: "Starting", causes: ["Battery flat", "Starter draws and does not turn", "Cable corroded at the terminal"], corrections: ["Replace the battery", "Replace the starter", "Clean and tighten the cables"] },
  { id: "slow-crank", text: "Cranks slowly in the morning", kind: "fault", area: "Starting", causes: ["Battery weak in the cold", "Ground cable corroded", "Starter worn"], corrections: ["Replace the battery", "Clean the grounds", "Replace the starter"] },
  { id: "warning-light", text: "Engine warning light is on", kind: "fault", area: "Engine", causes: ["Loose fuel cap", "Misfire under load", "Oxygen sensor slow"], corrections: ["Tighten the cap, clear the code", "Replace plugs and coils", "Replace the oxygen sensor"] },
  { id: "oil-light", text: "Oil light flickers {when}", kind: "fault", area: "Engine", causes: ["Oil low", "Sender fails", "Oil pressure low when hot"], corrections: ["Fill up, find where it goes", "Replace the sender", "Measure pressure, repair as found"] },
  { id: "runs-hot", text: "Temperature needle climbs", kind: "fault", area: "Engine", causes: ["Thermostat opens late", "Coolant low, hose seeps", "Fan does not run"], corrections: ["Replace the thermostat", "Replace the hose, fill and bleed", "Replace the fan or its relay"] },
  { id: "hum-speed", text: "Hums louder with speed, {where} {how often}", kind: "fault", area: "Wheels", causes: ["Wheel bearing worn", "Tires cupped", "Tire worn on its inner edge"], corrections: ["Replace the hub bearing", "Replace the tires", "Set the toe, replace the tires"] },
  { id: "clunk-bumps", text: "Clunks over bumps, {where}", kind: "fault", area: "Underneath", causes: ["Stabilizer links loose", "Strut mount worn", "Ball joint has play"], corrections: ["Replace both links", "Replace the strut with its mount", "Replace the ball joint"] },
  { id: "pulls", text: "Pulls to one side {when}", kind: "fault", area: "Brakes", causes: ["Caliper sticks", "Tire pressures differ", "Toe out"], corrections: ["Replace the caliper, bleed", "Set the pressures", "Set the toe"] },
  { id: "pedal-soft", text: "Brake pedal is soft", kind: "fault", area: "Brakes", causes: ["Air or old fluid in the lines", "Master cylinder leaks inside", "Hose swells"], corrections: ["Exchange the fluid, bleed", "Replace the master cylinder", "Replace the hose, bleed"] },
  { id: "vibrates", text: "Vibrates {when}, {where}", kind: "fault", area: "Wheels", causes: ["Wheel out of balance", "Rotor runs out", "Engine mount torn"], corrections: ["Balance the wheels", "Replace the rotors", "Replace the mount"] },
  { id: "leaks", text: "Leaks fluid, {where} {how often}", kind: "fault", area: "Engine", causes: ["Valve cover gasket", "Hose at its clamp", "Drain plug washer"], corrections: ["Replace the gasket", "Replace the hose and clamp", "Replace the washer, top up"] },
  { id: "smells", text: "Smells of {smell}", kind: "fault", area: "Engine", causes: ["Oil drips on the exhaust", "Coolant seeps", "Fuel vapor line loose"], corrections: ["Replace the gasket, clean the exhaust", "Replace the hose, fill and bleed", "Refit the line, test"] },
  { id: "stalls", text: "Stalls {when} {how often}", kind: "fault", area: "Engine", causes: ["Throttle body dirty", "Fuel pressure drops", "Coil breaks down hot"], corrections: ["Clean the throttle body", "Replace the fuel pump", "Replace the coils"] },
  { id: "shifts-hard", text: "Shifts hard {when}", kind: "fault", area: "Transmission", causes: ["Fluid old or low", "Mount torn", "Solenoid sticks"], corrections: ["Exchange the fluid", "Replace the mount", "Refer to a transmission shop"] },
  { id: "ac-warm", text: "Air conditioning blows warm", kind: "fault", area: "Comfort", causes: ["Refrigerant low, small leak", "Compressor does not engage", "Blend door stuck"], corrections: ["Find the leak, repair, charge", "Replace the clutch or relay", "Free or replace the actuator"] },
  { id: "window-stuck", text: "Window does not move, {where}", kind: "fault", area: "Comfort", causes: ["Regulator cable broken", "Motor dead", "Switch worn"], corrections: ["Replace the regulator", "Replace the motor", "Replace the switch"] },
  { id: "light-out", text: "A light is out, {where}", kind: "fault", area: "Outside", causes: ["Bulb burnt out", "Socket corroded", "Wire broken"], corrections: ["Replace the bulb", "Clean or replace the socket", "Repair the wire"] },
  { id: "battery-dies", text: "Battery is flat {how often}", kind: "fault", area: "Starting", causes: ["Battery at its end", "Something drains it at rest", "Alternator charges too little"], corrections: ["Replace the battery", "Find and stop the drain", "Replace the alternator"] },
  { id: "buying", text: "Look at it before they buy it", kind: "wish", area: "Service", causes: ["Worth its price", "Needs work first", "Signs of a crash"], corrections: ["Report handed over", "Report with prices handed over", "Advised against it"] },
  { id: "trip", text: "Ready for a long trip", kind: "wish", area: "Service", causes: ["Ready to go", "A few things are due", "Not fit for the trip"], corrections: ["Levels and pressures set", "Due work quoted", "Told not to go before it is mended"] },
  { id: "oil-due", text: "Oil change is due", kind: "wish", area: "Service", causes: ["Due by miles", "Due by time", "Reset was missed last time"], corrections: ["Oil and filter changed", "Oil changed, reminder set", "Reminder reset"] },
  { id: "wipers-new", text: "New wipers", kind: "wish", area: "Outside", causes: ["Blades streak", "Blade torn", "Arm spring weak"], corrections: ["Blades replaced", "Blades and washer checked", "Arm replaced"] },
  { id: "tires-new", text: "New tires", kind: "wish", area: "Wheels", causes: ["Tread below the limit", "Old by date", "Worn unevenly"], corrections: ["Tires replaced, wheels torqued", "Tires replaced, toe set", "Rotated, to be seen again"] },
  { id: "check-over", text: "Check the car over", kind: "wish", area: "Service", causes: ["All sound", "A few to watch", "Work needed now"], corrections: ["Checked, report handed over", "Checked, work quoted", "Checked, told in writing"] },
]; // prettier-ignore

export const CONCERN_GAPS: ConcernGap[] = [
  { name: "when", choices: ["when cold", "when hot", "above 40", "when turning", "when braking", "in the rain"] },
  { name: "where", choices: ["front left", "front right", "rear left", "rear right", "under the hood"] },
  { name: "smell", choices: ["gasoline", "burning", "something sweet", "bad eggs"] },
  { name: "how often", choices: ["always", "now and then", "since yesterday", "for weeks"] },
];
