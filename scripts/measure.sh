# Shared by what measures and tries the whole application: packages it and runs a program beside it. Sourced after house.sh, not run.
# shellcheck shell=bash

# measure CLASS arguments…: runs a program of the browser tests' folder on the packaged application, which is started as ./run starts it; the
# program is held to its compiler's first stage, to leave the application the cores. Needs a folder scratch.
measure() {
  need_packages
  cd "$ROOT"
  mvn -B -ntp -q -Dstyle.color=never -DskipTests -pl e2e -am package org.apache.maven.plugins:maven-dependency-plugin:copy-dependencies \
    -DincludeScope=test -DoutputDirectory="$scratch/lib"
  cd e2e
  # Connections are dropped before the server does, which leaves those alone that nothing came by for five seconds.
  java -XX:TieredStopAtLevel=1 -Djdk.httpclient.keepalive.timeout=3 -Dnarrowgate.java-options=-Xmx1g -cp "target/test-classes:$scratch/lib/*" \
    -Dnarrowgate.jar="$ROOT/server/target/narrow-gate-app.jar" "$@"
}

make_scratch() {
  scratch=$(mktemp -d /tmp/narrowgate-measure.XXXXXX)
  chmod 755 "$scratch"
  trap 'if [ -n "${PG_PORT:-}" ]; then stop_database; fi; rm -rf "$scratch"' EXIT
}

# A database of its own, for programs that are told where it is.
make_scratch_database() {
  prepare_database "$scratch/postgres"
  start_database
  export NARROWGATE_TEST_DB_PORT=$PG_PORT NARROWGATE_TEST_DB_USER=narrowgate NARROWGATE_TEST_DB_PASSWORD=$PG_PASSWORD
}
