import type { components } from './schema'

/** What the server sends and takes, by its own names. */
type Schemas = components['schemas']
export type ReelView = Schemas['ReelView']
export type FrameView = Schemas['FrameView']
export type ReelCard = Schemas['ReelCard']
export type Edit = Schemas['Edit']
export type Delivery = Schemas['Delivery']
export type DeliveryView = Schemas['DeliveryView']
export type JobView = Schemas['JobView']
export type WeightView = Schemas['WeightView']
export type RhythmView = Schemas['RhythmView']
export type StillView = Schemas['StillView']
export type FileView = Schemas['FileView']
export type LimitsView = Schemas['LimitsView']
export type Size = Schemas['Size']
