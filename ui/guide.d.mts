import type { Plugin } from 'vite'

export function guide(): Plugin
