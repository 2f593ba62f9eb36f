import type { ChildProcess } from 'node:child_process'

export function isPortFree(port: number): Promise<boolean>
export function startServer(port: number, data: string, stdio?: 'inherit' | 'ignore'): Promise<ChildProcess>
