import { onPanelsHolds } from '../../testing/onPanels.ts';
import { fullBustPrincessArmhole } from './definition.ts';

onPanelsHolds(fullBustPrincessArmhole, 'armhole');
