/** A keyseat may be deeper than its depth by this, never shallower, mm: the middle of it is aimed at (DIN 6885, smaller keys). */
export const depthPlus = 0.1;
