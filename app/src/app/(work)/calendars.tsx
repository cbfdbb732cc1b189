export { CalendarLinksScreen as default } from "../../calendar/CalendarLinksScreen";
