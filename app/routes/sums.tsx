import { SumsDoor } from "../sums/sums-door.tsx";

export const meta = () => [{ title: "Sums · Firm Arbor" }];

export default SumsDoor;
