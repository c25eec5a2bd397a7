import { WordsPage } from "../handbook/words-page.tsx";

export const meta = () => [{ title: "Words of the trade · Firm Arbor" }];

export default WordsPage;
