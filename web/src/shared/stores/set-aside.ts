import { defineStore } from 'pinia'
import { ref } from 'vue'

/** What rests in this browser and is not as it was kept: told until the seller has read it, and in no figure meanwhile. */
export const useSetAside = defineStore('set-aside', () => {
  const told = ref<string[]>([])
  function tell(sentence: string): void {
    if (!told.value.includes(sentence)) told.value = [...told.value, sentence]
  }
  const read = (sentence: string) => void (told.value = told.value.filter((t) => t !== sentence))
  return { told, tell, read }
})
