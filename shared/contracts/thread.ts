import type { NodeKind } from '#core/trace/thread'

export interface ThreadNodeView { code: string, kind: NodeKind, title: string, detail: string, massG: number | null, held: boolean }
export interface ThreadView { code: string, nodes: ThreadNodeView[], links: { from: string, to: string }[] }
