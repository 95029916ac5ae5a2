package dynamorph.formats.fuzz;

import dynamorph.formats.captions.CaptionFiles;
import dynamorph.formats.captions.FrameBox;
import dynamorph.formats.html.HtmlText;
import dynamorph.formats.journal.RecordFile;
import dynamorph.formats.project.ProjectDifference;
import dynamorph.formats.project.ProjectFile;
import dynamorph.formats.table.TitleTableReader;
import dynamorph.model.Asset;
import dynamorph.model.Project;
import dynamorph.model.property.Properties;
import dynamorph.model.property.Property;
import dynamorph.model.random.RandomProjects;
import dynamorph.model.reach.LayerQuery;
import dynamorph.model.value.ColourText;
import io.github.humbleui.skija.PathOp;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.stream.Stream;
import tools.jackson.core.JacksonException;
import tools.jackson.databind.json.JsonMapper;

/** All that reads what was made elsewhere: it gives a result or says what is wrong. */
public enum Reader {
  /** The documents of a project: JSON of styles, artboards and layers. */
  PROJECT {
    @Override
    void read(byte[] input) throws IOException {
      Project read;
      try {
        read = ProjectDifference.applyTo(Project.empty("P"), JSON.readTree(input), NO_ASSETS);
      } catch (JacksonException noJson) {
        return;
      }
      // what opens can be saved, and opens as the same again
      Project again =
          ProjectDifference.applyTo(
              Project.empty("P"),
              ProjectDifference.between(Project.empty("P"), read, NO_ASSETS),
              NO_ASSETS);
      if (!again.equals(read)) {
        throw new IllegalStateException("not the same again");
      }
    }

    @Override
    List<byte[]> seeds() {
      return Stream.of(1L, 2L, 3L).map(seed -> difference(new RandomProjects(seed))).toList();
    }
  },
  /** The file that they lie in. */
  PROJECT_FILE {
    @Override
    void read(byte[] input) throws IOException {
      inFile(input, ".dmorph", ProjectFile::read);
    }

    @Override
    List<byte[]> seeds() {
      return List.of(inFile(new RandomProjects(1).project()));
    }
  },
  SUBRIP {
    @Override
    void read(byte[] input) throws IOException {
      CaptionFiles.read(input, "film.srt", FrameBox.HD);
    }

    @Override
    List<byte[]> seeds() {
      return texts(
          """
          1
          00:00:01,000 --> 00:00:02,500 X1:10 X2:20
          <i>The clock</i> <font color="#ff8800">stopped</font>.

          2
          00:00:03,000 --> 00:00:04,000
          {\\an8}Twice.
          """);
    }
  },
  WEBVTT {
    @Override
    void read(byte[] input) throws IOException {
      CaptionFiles.read(input, "film.vtt", FrameBox.HD);
    }

    @Override
    List<byte[]> seeds() {
      return texts(
          """
          WEBVTT

          STYLE
          ::cue(.loud) { color: red; font-weight: bold; text-shadow: 1px 2px 3px #000 }

          REGION
          id:low
          width:40%

          one
          00:01.000 --> 00:02.000 line:10% position:30%,line-left align:start region:low
          <v Ilse>The <c.loud>clock</c> <ruby>a<rt>b</rt></ruby> &amp; <00:01.500>more
          """);
    }
  },
  TTML {
    @Override
    void read(byte[] input) throws IOException {
      CaptionFiles.read(input, "film.ttml", FrameBox.HD);
    }

    @Override
    List<byte[]> seeds() {
      return texts(
          """
          <tt xmlns="http://www.w3.org/ns/ttml" xmlns:tts="http://www.w3.org/ns/ttml#styling">
            <head><styling><style xml:id="s" tts:color="red" tts:fontSize="5%"/></styling>
            <layout><region xml:id="r" tts:origin="10% 10%" tts:extent="80% 80%"/></layout></head>
            <body style="s"><div><p begin="1s" end="00:00:02:12" region="r">The
              <span tts:fontStyle="italic">clock</span><br/></p></div></body>
          </tt>
          """);
    }
  },
  TABLE {
    @Override
    void read(byte[] input) throws IOException {
      inFile(input, ".csv", TitleTableReader::read);
    }

    @Override
    List<byte[]> seeds() {
      return texts("name;role;in\n\"Ilse; Maes\";\"bell\nringer\";00:00:01:00\n", "a\tb\n1\t2\n");
    }
  },
  HTML {
    @Override
    void read(byte[] input) {
      HtmlText.read(text(input));
    }

    @Override
    List<byte[]> seeds() {
      return texts(
          "<p style='font: italic 12px/1.5 serif; color: rgb(1,2,3)'>a <b>b</b><br>c</p>"
              + "<ul><li>d</ul><span lang=nl style='letter-spacing:.1em'>e</span>");
    }
  },
  QUERY {
    @Override
    void read(byte[] input) {
      refusing(() -> LayerQuery.parse(text(input)));
    }

    @Override
    List<byte[]> seeds() {
      return texts("artboard~Label && size<18 || !(follows=\"Label title\")", "text:bell");
    }
  },
  /** Values of every property, as they are typed and as they are filed. */
  VALUE {
    @Override
    void read(byte[] input) {
      String text = text(input);
      refusing(() -> ColourText.parse(text));
      for (Property<?> property : Properties.all()) {
        refusing(() -> property.type().decode(text));
      }
    }

    @Override
    List<byte[]> seeds() {
      return texts("+2 pt", "×1.6", "140 %", "rgb(1 2 3 / 50%)", "1 pt, 2 pt", "wght 400, opsz 12");
    }
  },
  /** Outlines, as SVG writes them. */
  OUTLINE {
    @Override
    void read(byte[] input) {
      try (io.github.humbleui.skija.Path path =
              io.github.humbleui.skija.Path.makeFromSVGString(text(input));
          io.github.humbleui.skija.Path other =
              io.github.humbleui.skija.Path.makeFromSVGString("M0 0H9V9Z");
          io.github.humbleui.skija.Path both =
              io.github.humbleui.skija.Path.makeCombining(path, other, PathOp.UNION)) {
        path.getBounds();
      } catch (IllegalArgumentException | NullPointerException refused) {
        // the library says so
      }
    }

    @Override
    List<byte[]> seeds() {
      return texts("M10 10h80v80h-80z M1,2 C3 4 5 6 7 8 s1 2 3 4 Q1 2 3 4 A5 5 0 0 1 9 9");
    }
  },
  JOURNAL {
    @Override
    void read(byte[] input) throws IOException {
      inFile(input, ".log", RecordFile::read);
    }

    @Override
    List<byte[]> seeds() {
      return texts("dynamorph journal 1\n\0\0\0\1\0\0\0\0x");
    }
  };

  private static final JsonMapper JSON = JsonMapper.builder().build();

  private static final ProjectDifference.Assets NO_ASSETS =
      new ProjectDifference.Assets() {
        @Override
        public String keep(Asset asset) {
          return asset.name();
        }

        @Override
        public byte[] find(String hash) throws IOException {
          throw new IOException("no asset is kept here");
        }
      };

  /**
   * Reads an input.
   *
   * @throws IOException if it says what is wrong
   */
  abstract void read(byte[] input) throws IOException;

  /** Sound inputs to begin with. */
  abstract List<byte[]> seeds();

  private static String text(byte[] input) {
    return new String(input, StandardCharsets.UTF_8);
  }

  private static List<byte[]> texts(String... texts) {
    return Stream.of(texts).map(text -> text.getBytes(StandardCharsets.UTF_8)).toList();
  }

  private static void refusing(Runnable reading) {
    try {
      reading.run();
    } catch (IllegalArgumentException refused) {
      if (refused.getMessage() == null || refused.getMessage().length() > 400) {
        throw new IllegalStateException("not a message to be read", refused);
      }
    }
  }

  private static byte[] difference(RandomProjects projects) {
    try {
      return JSON.writeValueAsBytes(
          ProjectDifference.between(Project.empty("P"), projects.project(), NO_ASSETS));
    } catch (IOException impossible) {
      throw new UncheckedIOException(impossible);
    }
  }

  private interface FromFile {
    Object read(Path file) throws IOException;
  }

  private static void inFile(byte[] input, String ending, FromFile reader) throws IOException {
    Path file = Files.createTempFile("fuzz", ending);
    try {
      Files.write(file, input);
      reader.read(file);
    } finally {
      Files.delete(file);
    }
  }

  private static byte[] inFile(Project project) {
    try {
      Path file = Files.createTempFile("fuzz", ProjectFile.ENDING);
      try {
        ProjectFile.write(project, file);
        return Files.readAllBytes(file);
      } finally {
        Files.delete(file);
      }
    } catch (IOException failed) {
      throw new UncheckedIOException(failed);
    }
  }
}
