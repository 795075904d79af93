import {
  Boxes,
  ChartNoAxesGantt,
  HandCoins,
  PackageSearch,
  Rocket,
  Search,
  ShieldCheck,
  Store,
  Sunrise,
  Wheat,
} from '@lucide/vue'
import type { Component } from 'vue'

/** The stages on the Row in working order. A key keeps its stage whatever else is added. */
export interface StageEntry {
  name: 'today' | 'gather' | 'demand' | 'finds' | 'rivals' | 'supply' | 'margin' | 'sheaves' | 'clearing' | 'launch'
  label: string
  path: string
  key: string
  icon: Component
}

export const stages: readonly StageEntry[] = [
  { name: 'today', label: 'Today', path: '/today', key: '1', icon: Sunrise },
  { name: 'gather', label: 'Gather', path: '/gather', key: '2', icon: Boxes },
  { name: 'demand', label: 'Demand', path: '/demand', key: '3', icon: ChartNoAxesGantt },
  { name: 'finds', label: 'Finds', path: '/finds', key: '4', icon: Search },
  { name: 'rivals', label: 'Rivals', path: '/rivals', key: '5', icon: Store },
  { name: 'supply', label: 'Supply', path: '/supply', key: '6', icon: PackageSearch },
  { name: 'margin', label: 'Margin', path: '/margin', key: '7', icon: HandCoins },
  { name: 'sheaves', label: 'Sheaves', path: '/sheaves', key: '8', icon: Wheat },
  { name: 'clearing', label: 'Clearing', path: '/clearing', key: '-', icon: ShieldCheck },
  { name: 'launch', label: 'Launch', path: '/launch', key: '9', icon: Rocket },
]
