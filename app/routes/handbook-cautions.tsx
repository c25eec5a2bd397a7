import { CautionsPage } from "../handbook/cautions-page.tsx";

export const meta = () => [{ title: "Cautions · Firm Arbor" }];

export default CautionsPage;
