import { onPanelsHolds } from '../../testing/onPanels.ts';
import { fullBustPrincessShoulder } from './definition.ts';

onPanelsHolds(fullBustPrincessShoulder, 'shoulder');
