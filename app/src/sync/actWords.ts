import { SPEC_FIELDS, showMoney, type ClientWorkOrderCommand, type VisitCommand } from "@mechanon/core";
import { fieldWords } from "./fieldWords";
import type { Pending } from "./pending";

const WORK_ORDER: Record<ClientWorkOrderCommand["type"], string> = {
  openWorkOrder: "The new work order",
  changeCustomer: "The change of customer",
  changeVehicle: "The change of car",
  wordPaper: "Words of a paper",
  addConcern: "A concern",
  removeConcern: "Taking a concern off",
  offerOtherWay: "Another way of a job",
  addWay: "Another way of a job",
  standInWay: "Which way of a job stands",
  nameWay: "The name of a way of a job",
  removeOtherWay: "Taking a way of a job off",
  closeWithoutSale: "Closing it without a sale",
  goOnSelling: "Going on with the quote",
  recordOdometer: "The odometer",
  takeBackOdometer: "Taking the odometer back",
  recordPressures: "The tire pressures",
  answerConcern: "What became of a concern",
  reopenConcern: "Opening a concern again",
  judgePlace: "Whether the place is safe",
  recordFuel: "The fuel",
  recordLamps: "The warning lamps",
  addMark: "A mark of damage",
  removeMark: "Taking a mark off",
  finishWalkRound: "The walk-round",
  leaveApart: "That the car lies apart",
  putTogether: "That the car is together again",
  startSheet: "The start of a sheet",
  leaveOutSheet: "Leaving a sheet out",
  closeSheet: "Closing a sheet",
  reopenSheet: "Opening a sheet again",
  gradePoint: "A grade of the check",
  gradeRest: "The rest as sound",
  ungradePoint: "Taking a grade back",
  tellUnsafe: "That they were told it is not safe",
  mendFinding: "How something was mended",
  tellRecall: "That they were told of a recall",
  noteCode: "A trouble code",
  removeCode: "Taking a code out",
  noteNoCodes: "That no codes were found",
  attachPhoto: "A photo",
  removePhoto: "Taking a photo off",
  addJob: "A job",
  addOperation: "Labor from the guide",
  refitJob: "The fit of a job",
  addOwnJob: "A job of your own",
  addVisitFee: "What the visit costs",
  tieFindings: "What a job cures",
  removeJob: "Taking a job off",
  addLine: "A line of the quote",
  changeLine: "The change of a line",
  removeLine: "Taking a line off",
  showIncluded: "What is on the customer's paper",
  assignLabor: "Who does a line",
  chooseRate: "The rate of a line",
  addPart: "A part of the library",
  usePart: "Which part a line is",
  foundBy: "What a diagnosis led to",
  customersPart: "Who brings a part",
  takeFromVan: "Taking parts from the van",
  addStockPart: "A part of the van",
  editLine: "The change of a line",
  moveLine: "Moving a line",
  moveJob: "Moving a job",
  copyLine: "The copy of a line",
  splitLine: "Splitting a line",
  editJob: "The change of a job",
  putBack: "Putting back what was taken off",
  addDiscount: "A discount",
  useOffer: "A discount",
  removeDiscount: "Taking a discount back",
  setValidUntil: "Until when the quote is good",
  followTaxes: "The taxes of the place",
  useTodaysRules: "The prices of today",
  noteCall: "What came of a call",
  recordAnswers: "The customer's answer",
  receiveParts: "The parts received",
  finishJobs: "The finished jobs",
  takeCash: "The cash",
  settleConflict: "Settling what two did at once",
};

const VISIT: Record<VisitCommand["type"], string> = {
  bookVisit: "The booking",
  moveVisit: "Moving the visit",
  cancelVisit: "Calling the visit off",
  setOff: "Setting off",
  arrive: "Arriving",
  leave: "Leaving",
  reviveVisit: "Taking the calling off back",
  lockVisit: "Locking the visit to its time",
  wantEarlier: "Who would come earlier",
  promiseReady: "What was promised",
  arrangeVisit: "What was agreed for the visit",
  takeAlong: "Another car on the trip",
  leaveOut: "Taking a car off the trip",
};

/** What a person did, as they would call it; with its figure where that tells it apart. */
export function actWords(item: Pending): string {
  switch (item.kind) {
    case "workOrder": {
      const { command } = item;
      const words = WORK_ORDER[command.type];
      if (command.type === "takeCash") return `${words}, ${showMoney(command.amountCents)},`;
      if (command.type === "recordOdometer") return `${words}, ${command.miles.toLocaleString("en-US")} mi,`;
      if (command.type === "addConcern") return `“${command.text}”`;
      return words;
    }
    case "visit":
      return VISIT[item.command.type];
    case "customer":
      return `The customer ${item.body.name}`;
    case "vehicle":
      return `The car ${[item.body.year, item.body.make, item.body.model].filter(Boolean).join(" ")}`.trim();
    case "customerChange":
      return `The change of the customer's ${fieldWords(Object.keys(item.becomes))}`;
    case "merge":
      return `Making ${item.mergedName} part of this record`;
    case "agreement":
      return `How often it is due: ${item.interval.title.toLowerCase()},`;
    case "vehicleChange":
      return `The change of the car's ${fieldWords(Object.keys(item.becomes))}`;
    case "specCorrection":
      return `What you found: ${SPEC_FIELDS.find(({ key }) => key === item.key)?.label.toLowerCase() ?? item.key},`;
    case "personOff":
      return "Taking a driver off the car";
    case "vehicleOwner":
      return item.becomes === "owner" ? "The car's new owner" : "Who drives the car";
  }
}
