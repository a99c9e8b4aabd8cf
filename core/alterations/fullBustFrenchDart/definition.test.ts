import { throughDartHolds } from '../../testing/throughDart.ts';
import { fullBustFrenchDart } from './definition.ts';

throughDartHolds(fullBustFrenchDart, 'french', 'causeway-french');
