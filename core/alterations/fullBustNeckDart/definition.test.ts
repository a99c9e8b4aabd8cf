import { throughDartHolds } from '../../testing/throughDart.ts';
import { fullBustNeckDart } from './definition.ts';

throughDartHolds(fullBustNeckDart, 'neck', 'causeway-neck');
