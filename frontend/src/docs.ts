/** The HTTP API, drawn from its OpenAPI document by Swagger UI, which ships with the application. */
import SwaggerUI from 'swagger-ui-dist/swagger-ui-es-bundle.js'
import 'swagger-ui-dist/swagger-ui.css'

interface SwaggerRequest {
  method?: string
  headers: Record<string, string>
}

SwaggerUI({
  url: '/api/openapi.json',
  dom_id: '#docs',
  supportedSubmitMethods: ['get', 'post', 'put', 'patch', 'delete'],
  // What changes something needs the session's token, as the application itself sends it.
  requestInterceptor: async (request: SwaggerRequest) => {
    if (request.method && request.method.toUpperCase() !== 'GET') {
      const answer = await fetch('/api/session')
      const session = (await answer.json()) as { csrf_token: string }
      request.headers['X-CSRF-Token'] = session.csrf_token
    }
    return request
  },
  validatorUrl: null,
  deepLinking: true,
})
