import { onPanels } from '../../kit/bust/onPanels.ts';

export const fullBustPrincessArmhole = onPanels('armhole', 0.45);
