import { ElMessage } from 'element-plus'

/** What may be plugged or fitted is a matter of hands; what may not be done is told and nothing changes. */
export const warn = (message: string): void =>
  void ElMessage({ type: 'warning', message, duration: 6000, showClose: true, grouping: true })
