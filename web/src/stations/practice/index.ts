/** Every page of practice: they share nearly all they are made of, and are loaded together. */
export { Practice } from './Practice.tsx';
export { Sums } from './Sums.tsx';
export { Wrinkles } from './Wrinkles.tsx';
export { Methods } from './Methods.tsx';
export { Rescues } from './Rescues.tsx';
export { CutLesson } from './cut/CutLesson.tsx';
export { PracticeSheet } from './cut/PracticeSheet.tsx';
