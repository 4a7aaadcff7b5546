import type { Plugin } from 'vite'

export function typefaceNotices(): Plugin
