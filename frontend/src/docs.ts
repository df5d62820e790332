/** The HTTP API, drawn from its OpenAPI document by Swagger UI, which ships with the application. */
import SwaggerUI from 'swagger-ui-dist/swagger-ui-es-bundle.js'
import 'swagger-ui-dist/swagger-ui.css'

SwaggerUI({
  url: '/api/openapi.json',
  dom_id: '#docs',
  // Requests that change something need the page's token; they are read here, and sent by scripts.
  supportedSubmitMethods: ['get'],
  validatorUrl: null,
  deepLinking: true,
})
