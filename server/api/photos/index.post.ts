import { PhotoRequest } from '#schemas/workmanship-views'
import { api } from '~~/server/http/api'
import { keepPhoto } from '~~/server/services/photos'

export default api(PhotoRequest, ({ context, actor, body }) => keepPhoto(context, actor, body.jpegBase64))
