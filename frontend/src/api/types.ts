/** Short names for what the OpenAPI document describes; nothing of it is written again by hand. */
import type { components } from './schema'

type Schemas = components['schemas']

export type Session = Schemas['SessionAnswer']
export type BrandSummary = Schemas['BrandSummary']
export type BrandDetail = Schemas['BrandDetail']
export type Source = Schemas['SourceAnswer']
export type FoundColor = Schemas['FoundColorAnswer']
export type Take = Schemas['TakeAnswer']
export type TakeSummary = Schemas['TakeSummary']
export type TakeDocument = Schemas['TakeDocument']
export type Swatch = Schemas['SwatchModel']
export type Evaluation = Schemas['EvaluationAnswer']
export type SwatchFigures = Schemas['SwatchFiguresAnswer']
export type PairFigures = Schemas['PairFiguresAnswer']
export type Proposal = Schemas['ProposalAnswer']
export type ProposedRole = Schemas['ProposedRoleAnswer']
export type Mend = Schemas['MendAnswer']
export type Role = Schemas['Role']
export type Choice = Proposal['choices'][number]
export type ColorChoice = Schemas['ColorChoice']
export type Level = NonNullable<TakeDocument['level']>
export type ProblemDocument = Schemas['Problem']
