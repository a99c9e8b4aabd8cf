import { onPanels } from '../../kit/bust/onPanels.ts';

export const fullBustPrincessShoulder = onPanels('shoulder', 0.62);
