import { HandbookDoor } from "../handbook/handbook-door.tsx";

export const meta = () => [{ title: "Handbook · Firm Arbor" }];

export default HandbookDoor;
