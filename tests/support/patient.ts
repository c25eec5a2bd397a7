import { configure } from "@testing-library/react";

// A slow machine is allowed: a wait ends as soon as what it waits for is there.
configure({ asyncUtilTimeout: 15_000 });
