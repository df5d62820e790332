import { ref } from 'vue'

const isMissing = ref(false)

/** Whether a part was wanted whose code could not be loaded. */
export const useMissingPart = () => ({ isMissing })
