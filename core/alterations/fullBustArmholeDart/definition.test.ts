import { throughDartHolds } from '../../testing/throughDart.ts';
import { fullBustArmholeDart } from './definition.ts';

throughDartHolds(fullBustArmholeDart, 'armhole', 'causeway-armhole');
