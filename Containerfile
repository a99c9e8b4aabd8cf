# Built in one stage, run in another that holds only what the server needs, as a user who owns nothing.
#   podman build -t ample-draft .
#   podman run --rm -p 4180:4180 ample-draft
# Under a path of a larger site: --build-arg BASE=/ample/

FROM node:22-slim AS build
WORKDIR /build
COPY package.json package-lock.json ./
COPY core/package.json core/
COPY web/package.json web/
COPY server/package.json server/
COPY cli/package.json cli/
COPY samples/package.json samples/
COPY e2e/package.json e2e/
RUN npm ci --no-audit --no-fund
COPY . .
ARG BASE=/
RUN BASE=$BASE npm run build

FROM node:22-slim
WORKDIR /app
ENV NODE_ENV=production HOST=0.0.0.0 PORT=4180
COPY package.json package-lock.json ./
COPY core/package.json core/
COPY server/package.json server/
RUN npm ci --omit=dev --workspace server --include-workspace-root --no-audit --no-fund && npm cache clean --force
COPY core core
COPY server server
COPY --from=build /build/web/dist web/dist
ARG BASE=/
ENV BASE=$BASE
USER nobody
EXPOSE 4180
CMD ["node", "--import", "tsx", "server/main.ts"]
