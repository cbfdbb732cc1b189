import { EACH_POSITION, core, fee, job, labor, part } from "./build";

export const ELECTRICS_AND_BODY = [
  job("battery", "Battery", "Electrics", [labor("Replace battery, register, test charging", 0.5, ["battery"]), part("Battery, group 48", "Northlight", "NL-48H6", 1, 11250), core("Battery core", 2200), fee("Battery fee", 300)], { curesPoints: ["battery"], answersConcerns: ["no-start", "slow-crank", "battery-dies"], companions: ["battery-test"], variants: [["deep", "Deep cycle", 2, "Battery, group 48, deep cycle", "Northlight", "NL-48D", 16480]] }),
  job("battery-test", "Battery and charging test", "Electrics", [labor("Test battery and charging", 0.3, ["batteryAndChargingTest"])], { answersConcerns: ["slow-crank", "battery-dies"] }),
  job("drain-test", "Battery drain found", "Electrics", [labor("Find what drains the battery", 1.2, ["batteryDrainFound"])], { answersConcerns: ["battery-dies"] }),
  job("alternator", "Alternator", "Electrics", [labor("Replace alternator", 1.4, ["alternator"]), part("Alternator, rebuilt", "Northlight", "NL-A90", 1, 17860), core("Alternator core", 5500)], { answersConcerns: ["battery-dies", "warning-light"], companions: ["belt", "battery-test"], variants: [["new", "New", 2, "Alternator, new", "Northlight", "NL-A90N", 26400]] }),
  job("starter", "Starter motor", "Electrics", [labor("Replace starter", 1.8, ["starterMotor"]), part("Starter, rebuilt", "Northlight", "NL-S230", 1, 14890), core("Starter core", 4500)], { answersConcerns: ["no-start"], companions: ["battery-test"], variants: [["new", "New", 2, "Starter, new", "Northlight", "NL-S230N", 21900]] }),
  job("headlamp-bulb", "Headlamp bulb", "Electrics", [labor("Replace headlamp bulb", 0.2, ["headlampBulb"]), part("Headlamp bulb", "Northlight", "NL-HB", 1, 1180, EACH_POSITION)], { per: "side", curesPoints: ["wipers"], answersConcerns: ["light-out"] }),
  job("tail-bulb", "Tail lamp bulb", "Electrics", [labor("Replace tail lamp bulb", 0.2, ["tailLampBulb"]), part("Tail lamp bulb", "Northlight", "NL-TB", 1, 340, EACH_POSITION)], { per: "side", answersConcerns: ["light-out"] }),
  job("wiring", "Wiring repaired", "Electrics", [labor("Repair wiring", 0.8, ["wiringRepaired"])], { answersConcerns: ["light-out"] }),
  job("diagnosis", "Diagnosis, first hour", "Diagnosis", [labor("Diagnose and report", 1)], { isDiagnosis: true, answersConcerns: ["warning-light", "no-start", "runs-hot", "hum-speed", "clunk-bumps", "smells", "stalls", "shifts-hard", "vibrates"] }),
  job("codes", "Codes read, all modules", "Diagnosis", [labor("Read, note and clear codes", 0.3)], { isDiagnosis: true, answersConcerns: ["warning-light"] }),
  job("wipers", "Wiper blades", "Outside", [labor("Fit wiper blades", 0.1, ["wiperBlades"]), part("Wiper blade", "Spindrift", "SD-22", 2, 890)], { curesPoints: ["wipers"], answersConcerns: ["wipers-new", "trip"], variants: [["winter", "Winter", 2, "Wiper blade, winter", "Spindrift", "SD-22W", 1290]] }),
  job("wiper-motor", "Wiper motor", "Outside", [labor("Replace wiper motor", 1.1, ["wiperMotor"]), part("Wiper motor", "Spindrift", "SD-WM", 1, 8420)]),
  job("washer-pump", "Washer pump", "Outside", [labor("Replace washer pump", 0.6, ["washerPump"]), part("Washer pump", "Spindrift", "SD-WP", 1, 1980)]),
  job("headlamp-polish", "Headlamps polished", "Outside", [labor("Polish and seal headlamps", 0.7, ["headlampsPolished"]), part("Polishing kit", "Spindrift", "SD-PK", 1, 1240)]),
  job("window-regulator", "Window regulator", "Outside", [labor("Replace window regulator", 0.9, ["windowRegulator"]), part("Window regulator", "Spindrift", "SD-R4", 1, 5840, EACH_POSITION)], { per: "door", answersConcerns: ["window-stuck"] }),
  job("door-lock", "Door lock actuator", "Outside", [labor("Replace lock actuator", 1, ["doorLockActuator"]), part("Lock actuator", "Spindrift", "SD-L2", 1, 4680, EACH_POSITION)], { per: "door" }),
  job("mirror-glass", "Mirror glass", "Outside", [labor("Replace mirror glass", 0.2, ["mirrorGlass"]), part("Mirror glass", "Spindrift", "SD-MG", 1, 2480, EACH_POSITION)], { per: "side" }),
  job("tailgate-struts", "Tailgate struts", "Outside", [labor("Replace both struts", 0.3, ["tailgateStruts"]), part("Tailgate strut", "Spindrift", "SD-TS", 2, 2140)]),
]; // prettier-ignore
