package dynamorph.typeset.harfbuzz;

import static java.lang.foreign.ValueLayout.ADDRESS;
import static java.lang.foreign.ValueLayout.JAVA_INT;

import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.lang.foreign.Arena;
import java.lang.foreign.FunctionDescriptor;
import java.lang.foreign.Linker;
import java.lang.foreign.MemoryLayout;
import java.lang.foreign.MemorySegment;
import java.lang.foreign.SymbolLookup;
import java.lang.invoke.MethodHandle;
import java.nio.file.AtomicMoveNotSupportedException;
import java.nio.file.FileAlreadyExistsException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;
import java.util.Locale;
import java.util.Optional;

/** The C functions of HarfBuzz; names and arguments as in its headers. */
final class Library {
  /** Flags of {@code dlopen}: resolve at once, and within the library before the process. */
  private static final int NOW = 2;

  private static final int DEEP_BIND = 8;

  private static final SymbolLookup SYMBOLS = load();

  static final MethodHandle BLOB_CREATE =
      function("hb_blob_create", ADDRESS, ADDRESS, JAVA_INT, JAVA_INT, ADDRESS, ADDRESS);
  static final MethodHandle BLOB_DESTROY = procedure("hb_blob_destroy", ADDRESS);
  static final MethodHandle BLOB_LENGTH = function("hb_blob_get_length", JAVA_INT, ADDRESS);
  static final MethodHandle FACE_CREATE = function("hb_face_create", ADDRESS, ADDRESS, JAVA_INT);
  static final MethodHandle FACE_DESTROY = procedure("hb_face_destroy", ADDRESS);
  static final MethodHandle FACE_UNITS = function("hb_face_get_upem", JAVA_INT, ADDRESS);
  static final MethodHandle FACE_TABLE =
      function("hb_face_reference_table", ADDRESS, ADDRESS, JAVA_INT);
  static final MethodHandle FONT_CREATE = function("hb_font_create", ADDRESS, ADDRESS);
  static final MethodHandle FONT_DESTROY = procedure("hb_font_destroy", ADDRESS);
  static final MethodHandle FONT_VARIATIONS =
      procedure("hb_font_set_variations", ADDRESS, ADDRESS, JAVA_INT);
  static final MethodHandle FONT_FREEZE = procedure("hb_font_make_immutable", ADDRESS);
  static final MethodHandle FONT_NOMINAL_GLYPH =
      function("hb_font_get_nominal_glyph", JAVA_INT, ADDRESS, JAVA_INT, ADDRESS);
  static final MethodHandle FONT_ADVANCE =
      function("hb_font_get_glyph_h_advance", JAVA_INT, ADDRESS, JAVA_INT);
  static final MethodHandle BUFFER_CREATE = function("hb_buffer_create", ADDRESS);
  static final MethodHandle BUFFER_DESTROY = procedure("hb_buffer_destroy", ADDRESS);
  static final MethodHandle BUFFER_CLEAR = procedure("hb_buffer_clear_contents", ADDRESS);
  static final MethodHandle BUFFER_ADD =
      procedure("hb_buffer_add_utf16", ADDRESS, ADDRESS, JAVA_INT, JAVA_INT, JAVA_INT);
  static final MethodHandle BUFFER_DIRECTION =
      procedure("hb_buffer_set_direction", ADDRESS, JAVA_INT);
  static final MethodHandle BUFFER_SCRIPT = procedure("hb_buffer_set_script", ADDRESS, JAVA_INT);
  static final MethodHandle BUFFER_LANGUAGE = procedure("hb_buffer_set_language", ADDRESS, ADDRESS);
  static final MethodHandle BUFFER_FLAGS = procedure("hb_buffer_set_flags", ADDRESS, JAVA_INT);
  static final MethodHandle BUFFER_LENGTH = function("hb_buffer_get_length", JAVA_INT, ADDRESS);
  static final MethodHandle BUFFER_INFOS =
      function("hb_buffer_get_glyph_infos", ADDRESS, ADDRESS, ADDRESS);
  static final MethodHandle BUFFER_POSITIONS =
      function("hb_buffer_get_glyph_positions", ADDRESS, ADDRESS, ADDRESS);
  static final MethodHandle LANGUAGE =
      function("hb_language_from_string", ADDRESS, ADDRESS, JAVA_INT);
  static final MethodHandle SCRIPT = function("hb_script_from_string", JAVA_INT, ADDRESS, JAVA_INT);
  static final MethodHandle SHAPE = procedure("hb_shape", ADDRESS, ADDRESS, ADDRESS, JAVA_INT);
  static final MethodHandle FEATURE_TAGS =
      function(
          "hb_ot_layout_table_get_feature_tags",
          JAVA_INT,
          ADDRESS,
          JAVA_INT,
          JAVA_INT,
          ADDRESS,
          ADDRESS);
  static final MethodHandle FEATURE_NAMES =
      function(
          "hb_ot_layout_feature_get_name_ids",
          JAVA_INT,
          ADDRESS,
          JAVA_INT,
          JAVA_INT,
          ADDRESS,
          ADDRESS,
          ADDRESS,
          ADDRESS,
          ADDRESS);
  static final MethodHandle NAME =
      function("hb_ot_name_get_utf16", JAVA_INT, ADDRESS, JAVA_INT, ADDRESS, ADDRESS, ADDRESS);
  static final MethodHandle AXES =
      function("hb_ot_var_get_axis_infos", JAVA_INT, ADDRESS, JAVA_INT, ADDRESS, ADDRESS);
  static final MethodHandle INSTANCES =
      function("hb_ot_var_get_named_instance_count", JAVA_INT, ADDRESS);
  static final MethodHandle INSTANCE_NAME =
      function("hb_ot_var_named_instance_get_subfamily_name_id", JAVA_INT, ADDRESS, JAVA_INT);
  static final MethodHandle INSTANCE_PLACE =
      function(
          "hb_ot_var_named_instance_get_design_coords",
          JAVA_INT,
          ADDRESS,
          JAVA_INT,
          ADDRESS,
          ADDRESS);
  static final MethodHandle METRIC =
      function("hb_ot_metrics_get_position", JAVA_INT, ADDRESS, JAVA_INT, ADDRESS);

  static final MethodHandle BASELINE =
      procedure(
          "hb_ot_layout_get_baseline_with_fallback",
          ADDRESS,
          JAVA_INT,
          JAVA_INT,
          JAVA_INT,
          JAVA_INT,
          ADDRESS);

  private Library() {}

  /** Four letters as HarfBuzz packs them. */
  static int tag(String letters) {
    String padded = (letters + "    ").substring(0, 4);
    return padded.charAt(0) << 24
        | padded.charAt(1) << 16
        | padded.charAt(2) << 8
        | padded.charAt(3);
  }

  /** The four letters of a packed tag. */
  static String letters(int tag) {
    return new String(
        new char[] {
          (char) (tag >>> 24 & 0xFF),
          (char) (tag >>> 16 & 0xFF),
          (char) (tag >>> 8 & 0xFF),
          (char) (tag & 0xFF)
        });
  }

  private static MethodHandle function(
      String name, MemoryLayout result, MemoryLayout... arguments) {
    return link(name, FunctionDescriptor.of(result, arguments));
  }

  private static MethodHandle procedure(String name, MemoryLayout... arguments) {
    return link(name, FunctionDescriptor.ofVoid(arguments));
  }

  private static MethodHandle link(String name, FunctionDescriptor shape) {
    return Linker.nativeLinker()
        .downcallHandle(
            SYMBOLS
                .find(name)
                .orElseThrow(() -> new UnsatisfiedLinkError("HarfBuzz has no function " + name)),
            shape);
  }

  /** Copies the library out of its jar, once for each version of it, and loads it. */
  private static SymbolLookup load() {
    String system = System.getProperty("os.name").toLowerCase(Locale.ROOT);
    boolean arm = System.getProperty("os.arch").matches("aarch64|arm64");
    String platform =
        system.startsWith("win") ? "windows" : system.startsWith("mac") ? "macos" : "linux";
    String file =
        switch (platform) {
          case "windows" -> "harfbuzz.dll";
          case "macos" -> "libharfbuzz.dylib";
          default -> "libharfbuzz.so";
        };
    String resource = "/" + platform + (arm ? "/arm64" : "/x64") + "/org/lwjgl/harfbuzz/" + file;
    try (InputStream stream = Library.class.getResourceAsStream(resource)) {
      if (stream == null) {
        throw new UnsatisfiedLinkError("there is no HarfBuzz for this machine: " + resource);
      }
      Path library = unpacked(stream.readAllBytes(), file);
      return platform.equals("linux")
          ? lookupBoundToItself(library)
          : SymbolLookup.libraryLookup(library, Arena.global());
    } catch (IOException unreadable) {
      throw new UncheckedIOException("HarfBuzz cannot be unpacked", unreadable);
    }
  }

  /**
   * On Linux the window toolkit brings the machine's own HarfBuzz into the process, and a library's
   * calls to itself would go to that one, of another version. Bound deep, it calls itself.
   */
  private static SymbolLookup lookupBoundToItself(Path library) {
    Linker linker = Linker.nativeLinker();
    SymbolLookup system = linker.defaultLookup();
    MethodHandle open =
        linker.downcallHandle(
            system.find("dlopen").orElseThrow(), FunctionDescriptor.of(ADDRESS, ADDRESS, JAVA_INT));
    MethodHandle find =
        linker.downcallHandle(
            system.find("dlsym").orElseThrow(), FunctionDescriptor.of(ADDRESS, ADDRESS, ADDRESS));
    try (Arena local = Arena.ofConfined()) {
      MemorySegment handle =
          (MemorySegment) open.invokeExact(local.allocateFrom(library.toString()), NOW | DEEP_BIND);
      if (handle.equals(MemorySegment.NULL)) {
        throw new UnsatisfiedLinkError("HarfBuzz cannot be loaded from " + library);
      }
      return name -> symbol(find, handle, name);
    } catch (Throwable failed) {
      throw HarfBuzzFont.unexpected(failed);
    }
  }

  private static Optional<MemorySegment> symbol(
      MethodHandle find, MemorySegment handle, String name) {
    try (Arena local = Arena.ofConfined()) {
      MemorySegment found = (MemorySegment) find.invokeExact(handle, local.allocateFrom(name));
      return found.equals(MemorySegment.NULL) ? Optional.empty() : Optional.of(found);
    } catch (Throwable failed) {
      throw HarfBuzzFont.unexpected(failed);
    }
  }

  private static Path unpacked(byte[] bytes, String file) throws IOException {
    String version = Integer.toHexString(java.util.Arrays.hashCode(bytes));
    Path folder =
        Path.of(
            System.getProperty("java.io.tmpdir"),
            "dynamorph-harfbuzz-" + version + "-" + System.getProperty("user.name"));
    Path library = folder.resolve(file);
    if (Files.isRegularFile(library) && Files.size(library) == bytes.length) {
      return library;
    }
    Files.createDirectories(folder);
    Path beside = Files.createTempFile(folder, file, ".part");
    Files.write(beside, bytes);
    try {
      Files.move(beside, library, StandardCopyOption.ATOMIC_MOVE);
    } catch (AtomicMoveNotSupportedException | FileAlreadyExistsException _) {
      Files.move(beside, library, StandardCopyOption.REPLACE_EXISTING);
    }
    return library;
  }
}
