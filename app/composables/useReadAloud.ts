/** Reads a text aloud where the browser can. */
export function useReadAloud() {
  const can = ref(false)
  onMounted(() => (can.value = 'speechSynthesis' in window))
  function read(text: string): void {
    speechSynthesis.cancel()
    const words = new SpeechSynthesisUtterance(text)
    words.lang = 'en-GB'
    speechSynthesis.speak(words)
  }
  onBeforeUnmount(() => can.value && speechSynthesis.cancel())
  return { can, read }
}
