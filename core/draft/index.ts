export * from './asks.ts';
export * from './draft.ts';
export * from './waysOn.ts';
export * from './followers.ts';
export * from './lanes.ts';
export * from './order.ts';
export * from './step.ts';
export * from './usual.ts';
export { likeOf, type StandIn } from './paper.ts';
