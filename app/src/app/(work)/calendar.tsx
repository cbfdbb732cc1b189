export { CalendarScreen as default } from "../../calendar/CalendarScreen";
