import createClient from 'openapi-fetch'
import type { components, paths } from './schema'
import { Problem } from './problem'

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

/** Typed by the server's OpenAPI description, so that a call the server does not know does not compile. */
export const api = createClient<paths>({ baseUrl: '' })

/** @return the answer's body; @throws Problem for everything else */
export async function answer<T>(call: Promise<{ data?: T; error?: unknown; response: Response }>): Promise<T> {
  let result
  try {
    result = await call
  } catch (cause) {
    throw Problem.unreachable(cause)
  }
  if (!result.response.ok) {
    throw Problem.from(result.response.status, result.error)
  }
  return result.data as T
}
