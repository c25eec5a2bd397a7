import { TablesPage } from "../handbook/tables-page.tsx";

export const meta = () => [{ title: "Tables · Firm Arbor" }];

export default TablesPage;
