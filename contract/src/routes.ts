import { accessRoutes } from "./access/routes";
import { customerRoutes } from "./customers/routes";
import { deviceRoutes } from "./device/routes";
import { messageRoutes } from "./messages/routes";
import { receiptPageRoutes } from "./payments/receiptPage";
import { paymentRoutes } from "./payments/routes";
import { photoRoutes } from "./photos/routes";
import { newTimePageRoutes } from "./schedule/newTimePage";
import { askPageRoutes } from "./requests/askPage";
import { requestRoutes } from "./requests/routes";
import { customerPageRoutes } from "./customerPages/customerPage";
import { scheduleRoutes } from "./schedule/routes";
import { searchRoutes } from "./search/routes";
import { settingsRoutes } from "./settings/routes";
import { sourcingRoutes } from "./sourcing/routes";
import { systemRoutes } from "./system/routes";
import { transferRoutes } from "./transfer/routes";
import { vehicleRoutes } from "./vehicles/routes";
import { visitRoutes } from "./visits/routes";
import { workOrderRoutes } from "./workOrders/routes";

/** Every route of the wire, by its operation name. */
export const routes = {
  ...systemRoutes,
  ...accessRoutes,
  ...settingsRoutes,
  ...customerRoutes,
  ...vehicleRoutes,
  ...workOrderRoutes,
  ...visitRoutes,
  ...scheduleRoutes,
  ...newTimePageRoutes,
  ...messageRoutes,
  ...requestRoutes,
  ...customerPageRoutes,
  ...askPageRoutes,
  ...sourcingRoutes,
  ...paymentRoutes,
  ...receiptPageRoutes,
  ...photoRoutes,
  ...searchRoutes,
  ...transferRoutes,
  ...deviceRoutes,
};
