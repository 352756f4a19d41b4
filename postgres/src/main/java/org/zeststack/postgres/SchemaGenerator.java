package org.zeststack.postgres;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.security.MessageDigest;
import java.security.NoSuchAlgorithmException;
import java.util.HexFormat;
import java.util.List;
import java.util.stream.Stream;
import org.flywaydb.core.Flyway;
import org.jooq.codegen.GenerationTool;
import org.jooq.meta.jaxb.Configuration;
import org.jooq.meta.jaxb.Database;
import org.jooq.meta.jaxb.Generate;
import org.jooq.meta.jaxb.Generator;
import org.jooq.meta.jaxb.Jdbc;
import org.jooq.meta.jaxb.Logging;
import org.jooq.meta.jaxb.Target;

/**
 * Writes the schema's classes from the migrations: starts a throw-away server, migrates, reads the schema. Does nothing
 * while the migrations are the ones it last worked from. Runs inside the build.
 */
public final class SchemaGenerator {

    private SchemaGenerator() {}

    /**
     * @param arguments directory of migrations, directory to write to, package name
     */
    public static void main(String[] arguments) throws Exception {
        Path migrations = Path.of(arguments[0]);
        Path target = Path.of(arguments[1]);
        Path stamp = target.resolve("migrations.sha256");
        String hash = hash(migrations);
        if (Files.exists(stamp) && Files.readString(stamp).equals(hash)) {
            return;
        }
        try (PrivatePostgres postgres = PrivatePostgres.throwAway()) {
            Flyway.configure()
                    .dataSource(postgres.url(), PrivatePostgres.NAME, postgres.password())
                    .locations("filesystem:" + migrations)
                    .load()
                    .migrate();
            generate(postgres, target, arguments[2]);
        }
        Files.writeString(stamp, hash);
    }

    private static void generate(PrivatePostgres postgres, Path target, String packageName) throws Exception {
        Database database = new Database()
                .withName("org.jooq.meta.postgres.PostgresDatabase")
                .withInputSchema("public")
                .withOutputSchemaToDefault(true)
                .withExcludes("spring_session.*|flyway_.*|refuse_change");
        GenerationTool.generate(new Configuration()
                .withLogging(Logging.WARN)
                .withJdbc(new Jdbc()
                        .withUrl(postgres.url())
                        .withUser(PrivatePostgres.NAME)
                        .withPassword(""))
                .withGenerator(new Generator()
                        .withDatabase(database)
                        .withGenerate(new Generate().withRecords(false).withGlobalObjectReferences(true))
                        .withTarget(new Target().withPackageName(packageName).withDirectory(target.toString()))));
    }

    private static String hash(Path migrations) throws IOException, NoSuchAlgorithmException {
        MessageDigest digest = MessageDigest.getInstance("SHA-256");
        try (Stream<Path> files = Files.list(migrations)) {
            List<Path> sorted = files.sorted().toList();
            for (Path file : sorted) {
                digest.update(file.getFileName().toString().getBytes(java.nio.charset.StandardCharsets.UTF_8));
                digest.update(Files.readAllBytes(file));
            }
        }
        return HexFormat.of().formatHex(digest.digest());
    }
}
