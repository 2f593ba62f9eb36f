import { ElMessage } from 'element-plus'

/**
 * What may be plugged or fitted is a matter of hands; what may not be done is told and nothing changes. The touch is
 * answered first, the box made after it.
 */
export const warn = (message: string): void =>
  void setTimeout(() =>
    ElMessage({ type: 'warning', message, duration: 6000, showClose: true, grouping: true }),
  )
