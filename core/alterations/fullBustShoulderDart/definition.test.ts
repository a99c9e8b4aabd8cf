import { throughDartHolds } from '../../testing/throughDart.ts';
import { fullBustShoulderDart } from './definition.ts';

throughDartHolds(fullBustShoulderDart, 'shoulder', 'causeway-shoulder');
