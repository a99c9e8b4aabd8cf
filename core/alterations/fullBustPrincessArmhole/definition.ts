import { onPanels } from '../bust/onPanels.ts';

export const fullBustPrincessArmhole = onPanels('armhole', 0.45);
