import type { components } from './schema';

type Schemas = components['schemas'];

export type Aspect = Schemas['Aspect'];
export type AspectKind = Schemas['AspectKind'];
export type Bench = Schemas['Bench'];
export type BuildTab = Schemas['BuildTab'];
export type Edit = Schemas['Edit'];
export type FaultKind = Schemas['FaultKind'];
export type Finding = Schemas['Finding'];
export type Fix = Schemas['Fix'];
export type Frame = Schemas['Frame'];
export type Hold = Schemas['Hold'];
export type Kit = Schemas['Kit'];
export type LogLine = Schemas['LogLine'];
export type LogPage = Schemas['LogPage'];
export type NewEvent = Schemas['NewEvent'];
export type EventTemplate = Schemas['EventTemplate'];
export type Plan = Schemas['Plan'];
export type Preview = Schemas['Preview'];
export type Room = Schemas['Room'];
export type Stack = Schemas['Stack'];
export type Stage = Schemas['Stage'];
export type Step = Schemas['Step'];
export type StepLine = Schemas['StepLine'];
export type Problem = Schemas['Problem'];
