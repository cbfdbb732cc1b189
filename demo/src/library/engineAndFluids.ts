import { EACH_CYLINDER, fee, job, labor, part } from "./build";

const COOLANT = { count: { by: "spec", key: "coolantQuarts", unit: 4, whole: true }, spec: "coolant" } as const;
const OIL = {
  count: { by: "spec", key: "oilCapacityQuarts", unit: 1, whole: false },
  spec: "oilGrade",
  grades: [
    { value: "0W-20", costCents: 520, priceCents: null, partNumber: "KL-020Q", brand: "Kelpline" },
    { value: "5W-20", costCents: 490, priceCents: null, partNumber: "KL-520Q", brand: "Kelpline" },
    { value: "5W-30", costCents: 480, priceCents: null, partNumber: "KL-530Q", brand: "Kelpline" },
    { value: "10W-30", costCents: 440, priceCents: null, partNumber: "KL-1030Q", brand: "Kelpline" },
  ],
} as const;
const HIGH_VOLTAGE: { skill: string; place: ["dry"]; rights: ["highVoltage"] } = {
  skill: "High voltage",
  place: ["dry"],
  rights: ["highVoltage"],
};
const REFRIGERANT: { skill: string; place: []; rights: ["refrigerant"] } = {
  skill: "Refrigerant",
  place: [],
  rights: ["refrigerant"],
};

export const ENGINE_AND_FLUIDS = [
  job("oil-service", "Oil and filter", "Service", [labor("Change oil and filter, set reminder", 0.5, ["oilAndFilter"], ["drainPlugTorqueLbFt"]), part("Oil, quart", "Kelpline", "KL-020Q", 5, 480, { ...OIL, grades: [...OIL.grades] }), part("Oil filter", "Kelpline", "KL-F12", 1, 560), fee("Used oil", 350)], { curesPoints: ["oil"], answersConcerns: ["oil-due", "oil-light", "trip"], companions: ["tire-rotation", "cabin-filter", "air-filter"], variants: [["long-life", "Long-life filter", 3, "Oil filter, long-life", "Kelpline", "KL-F12L", 980]], words: { customer: "Oil and filter changed, reminder set, levels checked.", mechanic: "New washer, plug to torque." } }),
  job("air-filter", "Engine air filter", "Service", [labor("Replace air filter", 0.2, ["engineAirFilter"]), part("Air filter", "Kelpline", "KL-A7", 1, 1140)], { curesPoints: ["airFilter"], answersConcerns: ["trip"], variants: [["washable", "Washable", 2, "Air filter, washable", "Kelpline", "KL-A7W", 3980]] }),
  job("cabin-filter", "Cabin filter", "Service", [labor("Replace cabin filter", 0.3, ["cabinFilter"]), part("Cabin filter", "Kelpline", "KL-C3", 1, 980)], { curesPoints: ["cabinFilter"], answersConcerns: ["trip"], variants: [["charcoal", "Charcoal", 2, "Cabin filter, charcoal", "Kelpline", "KL-C3K", 1520]] }),
  job("fuel-filter", "Fuel filter", "Service", [labor("Replace fuel filter", 0.7, ["fuelFilter"]), part("Fuel filter", "Kelpline", "KL-FF2", 1, 1860)], { answersConcerns: ["stalls"] }),
  job("check-over", "Check-over, eight points", "Service", [labor("Inspect and report", 0.4)], { answersConcerns: ["check-over", "trip"] }),
  job("pre-purchase", "Check before buying", "Service", [labor("Inspect, read codes, drive, report", 2, ["checkBeforeBuying"])], { answersConcerns: ["buying"] }),
  job("throttle-clean", "Throttle body cleaned", "Service", [labor("Clean throttle body", 0.6, ["throttleBodyCleaned"]), part("Throttle cleaner", "Kelpline", "KL-TC", 1, 620)], { answersConcerns: ["stalls"] }),
  job("coolant-service", "Coolant exchange", "Fluids", [labor("Exchange coolant, bleed", 0.9, ["coolantExchange"]), part("Coolant, gallon", "Kelpline", "KL-C1G", 2, 1490, COOLANT)], { curesPoints: ["coolant"], answersConcerns: ["runs-hot"], companions: ["radiator-cap"] }),
  job("transmission-service", "Transmission fluid", "Fluids", [labor("Drain and fill transmission", 0.9, ["transmissionFluidDrainAndFill"]), part("Transmission fluid, quart", "Kelpline", "KL-TF", 4, 890, { count: { by: "spec", key: "transmissionFluidQuarts", unit: 1, whole: true }, spec: "transmissionFluid" }), fee("Used oil", 350)], { curesPoints: ["transmissionFluid"], answersConcerns: ["shifts-hard"] }),
  job("rear-differential", "Rear differential fluid", "Fluids", [labor("Change rear differential fluid", 0.5, ["rearDifferentialFluid"]), part("Gear oil, quart", "Kelpline", "KL-GO", 2, 980)]),
  job("transfer-fluid", "Transfer case fluid", "Fluids", [labor("Change transfer case fluid", 0.4, ["transferCaseFluid"]), part("Transfer fluid, quart", "Kelpline", "KL-XF", 2, 1120)]),
  job("thermostat", "Thermostat", "Engine", [labor("Replace thermostat", 1.2, ["thermostat"]), part("Thermostat with housing", "Brinewell", "BW-T190", 1, 2870), part("Coolant, gallon", "Kelpline", "KL-C1G", 1, 1490, COOLANT)], { curesPoints: ["coolant"], answersConcerns: ["runs-hot"], companions: ["radiator-hoses", "radiator-cap"], variants: [["factory", "Factory", 2, "Thermostat with housing, factory", "Brinewell", "BW-T190F", 4860]] }),
  job("radiator", "Radiator", "Engine", [labor("Replace radiator", 2, ["radiator"]), part("Radiator", "Brinewell", "BW-R88", 1, 13860), part("Coolant, gallon", "Kelpline", "KL-C1G", 2, 1490, COOLANT)], { answersConcerns: ["leaks", "runs-hot"], companions: ["radiator-hoses", "radiator-cap", "thermostat"], variants: [["factory", "Factory", 2, "Radiator, factory", "Brinewell", "BW-R88F", 23400]] }),
  job("radiator-hoses", "Radiator hoses", "Engine", [labor("Replace both radiator hoses", 1.1, ["upperRadiatorHose", "lowerRadiatorHose"]), part("Upper radiator hose", "Brinewell", "BW-U2", 1, 1740), part("Lower radiator hose", "Brinewell", "BW-U3", 1, 1980), part("Coolant, gallon", "Kelpline", "KL-C1G", 1, 1490, COOLANT)], { curesPoints: ["hoses"], answersConcerns: ["leaks", "runs-hot"] }),
  job("radiator-cap", "Radiator cap", "Engine", [labor("Replace radiator cap", 0.1, ["radiatorCap"]), part("Radiator cap", "Brinewell", "BW-CAP", 1, 720)], { answersConcerns: ["runs-hot"] }),
  job("water-pump", "Water pump", "Engine", [labor("Replace water pump", 1.9, ["waterPump"]), part("Water pump", "Brinewell", "BW-P17", 1, 6240), part("Coolant, gallon", "Kelpline", "KL-C1G", 2, 1490, COOLANT)], { answersConcerns: ["runs-hot", "leaks"], companions: ["belt", "thermostat"], variants: [["factory", "Factory", 2, "Water pump, factory", "Brinewell", "BW-P17F", 10450]] }),
  job("cooling-test", "Cooling system pressure test", "Engine", [labor("Pressure test, find the leak", 0.4, ["coolingSystemPressureTest"])], { answersConcerns: ["leaks", "runs-hot", "smells"] }),
  job("belt", "Accessory belt", "Engine", [labor("Replace accessory belt", 0.6, ["accessoryBelt"]), part("Accessory belt", "Brinewell", "BW-V6K", 1, 2180)], { curesPoints: ["belt"], answersConcerns: ["brakes-squeal"], variants: [["quiet", "Quiet ribs", 2, "Accessory belt, quiet ribs", "Brinewell", "BW-V6KQ", 2990]] }),
  job("belt-tensioner", "Belt tensioner", "Engine", [labor("Replace tensioner", 0.8, ["beltTensioner"]), part("Belt tensioner", "Brinewell", "BW-VT", 1, 4460)], { companions: ["belt"], variants: [["factory", "Factory", 2, "Belt tensioner, factory", "Brinewell", "BW-VTF", 7120]] }),
  job("spark-plugs", "Spark plugs", "Engine", [labor("Replace spark plugs", 0.8, ["sparkPlugs"], ["sparkPlugTorqueLbFt"]), part("Spark plug", "Northlight", "NL-P5", 4, 860, EACH_CYLINDER)], { curesPoints: ["plugs"], answersConcerns: ["stalls", "warning-light"], companions: ["ignition-coils"], variants: [["plain", "Copper", 2, "Spark plug, copper", "Northlight", "NL-P1", 390]] }),
  job("ignition-coils", "Ignition coils", "Engine", [labor("Replace ignition coils", 0.6, ["ignitionCoil"]), part("Ignition coil", "Northlight", "NL-K2", 4, 3240, EACH_CYLINDER)], { answersConcerns: ["stalls", "warning-light"], companions: ["spark-plugs"], variants: [["factory", "Factory", 2, "Ignition coil, factory", "Northlight", "NL-K2F", 5180]] }),
  job("valve-cover-gasket", "Valve cover gasket", "Engine", [labor("Replace valve cover gasket", 1.4, ["valveCoverGasket"]), part("Valve cover gasket set", "Brinewell", "BW-G9", 1, 3120)], { curesPoints: ["engineLeaks", "leaks"], answersConcerns: ["leaks", "smells"], companions: ["spark-plugs"] }),
  job("engine-mount", "Engine mount", "Engine", [labor("Replace engine mount", 1, ["engineMount"]), part("Engine mount", "Brinewell", "BW-M3", 1, 5180)], { answersConcerns: ["vibrates"] }),
  job("fuel-pump", "Fuel pump module", "Engine", [labor("Replace fuel pump module", 2.2, ["fuelPumpModule"]), part("Fuel pump module", "Northlight", "NL-FP", 1, 15640)], { answersConcerns: ["no-start", "stalls"], variants: [["pump-only", "Pump without module", 2, "Fuel pump alone", "Northlight", "NL-FPA", 8420]] }),
  job("oxygen-sensor", "Oxygen sensor, upstream", "Engine", [labor("Replace upstream oxygen sensor", 0.5, ["oxygenSensorUpstream"]), part("Oxygen sensor", "Northlight", "NL-O2", 1, 5240)], { answersConcerns: ["warning-light"], variants: [["universal", "Universal plug", 2, "Oxygen sensor, universal plug", "Northlight", "NL-O2U", 3260]] }),
  job("purge-valve", "Purge valve", "Engine", [labor("Replace purge valve", 0.3, ["purgeValve"]), part("Purge valve", "Northlight", "NL-PV", 1, 2440)], { answersConcerns: ["warning-light", "smells"] }),
  job("muffler", "Muffler", "Engine", [labor("Replace muffler", 0.7, ["muffler"]), part("Muffler", "Brinewell", "BW-MU", 1, 8340), part("Gasket", "Brinewell", "BW-MG", 1, 420)], { curesPoints: ["exhaust"], variants: [["stainless", "Stainless", 2, "Muffler, stainless", "Brinewell", "BW-MUS", 13600]] }),
  job("ac-service", "Air conditioning service", "Climate", [labor("Recover, test, charge", 1.5, ["airConditioningService"]), part("Refrigerant", "Kelpline", "KL-R", 1, 5200, { spec: "refrigerant" })], { curesPoints: ["ventTemperature", "lowSide", "heatAndAir"], answersConcerns: ["ac-warm"], needs: REFRIGERANT }),
  job("blower-motor", "Blower motor", "Climate", [labor("Replace blower motor", 0.5, ["blowerMotor"]), part("Blower motor", "Northlight", "NL-BM", 1, 6780)], { answersConcerns: ["ac-warm"] }),
  job("reduction-fluid", "Reduction gear fluid", "High voltage", [labor("Change reduction gear fluid", 0.7, ["reductionGearFluid"]), part("Reduction gear fluid, quart", "Kelpline", "KL-RG", 2, 1640)], { curesPoints: ["reductionGear"], needs: HIGH_VOLTAGE }),
  job("battery-report", "Drive battery health report", "High voltage", [labor("Read and report drive battery health", 0.8, ["driveBatteryHealthReport"])], { curesPoints: ["driveBattery"], answersConcerns: ["buying"], needs: HIGH_VOLTAGE }),
]; // prettier-ignore
