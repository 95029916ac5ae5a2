package dynamorph.app;

import static java.util.Objects.requireNonNull;

import dynamorph.app.field.HelpRequest;
import dynamorph.app.message.Messages;
import dynamorph.app.session.Desk;
import dynamorph.app.session.Review;
import dynamorph.app.session.Sampling;
import dynamorph.app.session.Selection;
import dynamorph.app.session.StyleDeletion;
import dynamorph.app.session.Tool;
import dynamorph.app.session.Workspace;
import dynamorph.app.theme.Theme;
import dynamorph.formats.file.SafeFile;
import dynamorph.model.Artboard;
import dynamorph.model.LayerId;
import dynamorph.model.edit.Target;
import dynamorph.model.edit.film.ChangeTimeline;
import dynamorph.model.edit.layer.SetValues;
import dynamorph.model.edit.style.Sample;
import dynamorph.model.edit.style.SetSwatch;
import dynamorph.model.property.Address;
import dynamorph.model.property.Properties;
import dynamorph.model.property.PropertySet;
import dynamorph.model.style.StyleId;
import dynamorph.model.style.Swatch;
import dynamorph.model.timeline.Time;
import dynamorph.model.timeline.Track;
import dynamorph.model.timeline.TrackId;
import dynamorph.model.value.Colour;
import dynamorph.model.value.FontSize;
import dynamorph.model.value.GradientStops;
import dynamorph.model.value.ItemState;
import dynamorph.model.value.PaintKind;
import dynamorph.model.value.Rgba;
import java.awt.Graphics2D;
import java.awt.image.BufferedImage;
import java.io.IOException;
import java.nio.file.Path;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.Consumer;
import javafx.animation.PauseTransition;
import javafx.application.Platform;
import javafx.embed.swing.SwingFXUtils;
import javafx.scene.Node;
import javafx.scene.SnapshotParameters;
import javafx.scene.control.ButtonBase;
import javafx.scene.control.ScrollPane;
import javafx.scene.paint.Color;
import javafx.stage.Popup;
import javafx.stage.Window;
import javafx.util.Duration;

/** Takes pictures of the real window in set states of the demo. */
final class ScreenshotView {
  /** How long a picture may take to settle: fonts, specimens and the first frame. */
  private static final Duration SETTLE = Duration.millis(700);

  private static final int MOST_TRIES = 40;

  /** Views that show all artboards above whatever the strip takes of the window. */
  private static final Set<String> OF_ALL_ARTBOARDS =
      Set.of("artboards", "style-desk", "sampler", "settle", "swatch", "lamp");

  private static final Map<String, Consumer<MainWindow>> VIEWS = views();

  private ScreenshotView() {}

  static List<String> names() {
    return List.copyOf(VIEWS.keySet());
  }

  private static Map<String, Consumer<MainWindow>> views() {
    Map<String, Consumer<MainWindow>> views = new LinkedHashMap<>();
    views.put("artboards", ScreenshotView::artboards);
    views.put("style-desk", ScreenshotView::desk);
    views.put("reach", ScreenshotView::reach);
    views.put("keep-style", ScreenshotView::keep);
    views.put("trace", ScreenshotView::trace);
    views.put("sampler", ScreenshotView::sampler);
    views.put("settle", ScreenshotView::settle);
    views.put("swatch", ScreenshotView::swatch);
    views.put("editing-text", ScreenshotView::editing);
    views.put("typesetting", ScreenshotView::typesetting);
    views.put("languages", ScreenshotView::languages);
    views.put("shortcuts", main -> main.actions().get("view.change-shortcuts").run());
    views.put("finish", ScreenshotView::finish);
    views.put("gradient", ScreenshotView::gradient);
    views.put("finish-presets", ScreenshotView::presets);
    views.put("outlines", ScreenshotView::outlines);
    views.put("timeline", ScreenshotView::timeline);
    views.put("cues", ScreenshotView::cues);
    views.put("ruby", ScreenshotView::ruby);
    views.put("find", ScreenshotView::find);
    views.put("sheet", ScreenshotView::sheet);
    views.put("survey", ScreenshotView::survey);
    views.put("shelf", ScreenshotView::shelf);
    views.put("updates", ScreenshotView::updates);
    views.put("document", main -> main.documents().open(Path.of("demo/imports/wall-texts.docx")));
    views.put("export", main -> main.export().open());
    views.put("export-film", main -> main.export().openFilms());
    views.put(
        "lamp",
        main -> {
          main.dress(Theme.LAMP);
          artboards(main);
        });
    views.put(
        "compact-styles",
        main -> {
          main.workspace().view().compactStylesProperty().set(true);
          artboards(main);
        });
    views.put("start", MainWindow::showStart);
    views.put("guide", ScreenshotView::guide);
    views.put("empty", _ -> {});
    return views;
  }

  /** A name title over the film, which stands elsewhere than its style says. */
  private static void timeline(MainWindow main) {
    Workspace workspace = main.workspace();
    workspace.playback().open();
    workspace.playback().seek(Time.ofMillis(30_480));
    workspace.select(List.of(new LayerId("name-dessa")));
  }

  /** The cues of the film in a list, one of which reads too fast. */
  private static void cues(MainWindow main) {
    Workspace workspace = main.workspace();
    workspace.playback().open();
    workspace.playback().cueTrackProperty().set(Optional.of(new TrackId("captions-en")));
    workspace.playback().seek(Time.ofMillis(26_000));
    workspace.select(List.of(new LayerId("cue-en-5")));
  }

  /** The name titles of the film side by side, each in its frame. */
  private static void sheet(MainWindow main) {
    Workspace workspace = main.workspace();
    workspace.view().sheetProperty().set(true);
    main.sheet().open(workspace.project().sheetViews().getFirst());
    workspace.select(List.of(new LayerId("name-dessa"), new LayerId("name-ilse")));
  }

  /** A text in a look of the shelf before it is taken, beside the looks as they lie there. */
  private static void shelf(MainWindow main) {
    artboards(main);
    main.actions().get("shelf.show").run();
  }

  /** The guide beside the values that it speaks of. */
  private static void guide(MainWindow main) {
    artboards(main);
    main.scene().getRoot().fireEvent(new HelpRequest("guide#make-one-text-look-right"));
  }

  private static void updates(MainWindow main) {
    artboards(main);
    Runnable open =
        () -> {
          if (!main.shelf().newer().isEmpty()
              && !main.workspace().attempts().present().isUpdating()) {
            main.workspace().attempts().openUpdates();
          }
        };
    main.shelf().followedProperty().addListener((_, _, _) -> Platform.runLater(open));
    open.run();
  }

  /** What a survey found in a messy project, with a proposal open. */
  private static void survey(MainWindow main) {
    Workspace workspace = main.workspace();
    workspace.open(dynamorph.demo.AsItCame.project(), Optional.empty());
    workspace.view().sheetProperty().set(true);
    main.survey().open("Number");
  }

  /** How letters of a caption are read, while it is said. */
  private static void ruby(MainWindow main) {
    Workspace workspace = main.workspace();
    workspace.playback().open();
    Artboard film = workspace.playback().board().orElseThrow();
    film.timeline()
        .orElseThrow()
        .captions()
        .forEach(track -> {
          boolean hidden = !track.language().equals("ja");
          Track shown = track.withState(new ItemState(hidden, false));
          workspace.apply(new ChangeTimeline.PutTrack(film.id(), shown));
        });
    workspace.playback().seek(Time.ofMillis(29_000));
    workspace.selectionProperty().set(Selection.editing(new LayerId("cue-ja-4"), 0, 2));
    main.askForRuby();
  }

  private static void artboards(MainWindow main) {
    Workspace workspace = main.workspace();
    workspace.pickedStyleProperty().set(Optional.of(new StyleId("label-title")));
    workspace.select(List.of(new LayerId("label-3-title"), new LayerId("label-5-title")));
  }

  private static void desk(MainWindow main) {
    artboards(main);
    Workspace workspace = main.workspace();
    workspace.attempts().openDesk(new StyleId("label-title"));
    Desk desk = workspace.attempts().present().desk().orElseThrow();
    PropertySet bolder =
        desk.draft()
            .properties()
            .with(Properties.FONT_WEIGHT, 800.0)
            .with(Properties.SIZE, FontSize.points(96))
            .with(Properties.COAT_COLOUR.at(Address.coat("fill")), Colour.hex("#c2560b"));
    workspace.attempts().draft(desk.draft().withProperties(bolder), Optional.empty());
  }

  /** Everything that a dangerous edit would change. */
  private static void reach(MainWindow main) {
    desk(main);
    main.workspace()
        .attempts()
        .heldBackProperty()
        .set(java.util.Set.of(new LayerId("label-5-title")));
    main.workspace().view().reachProperty().set(true);
  }

  /** Where a size comes from that is relative to what a style gives. */
  private static void trace(MainWindow main) {
    main.workspace().select(List.of(new LayerId("label-5-title")));
    onceDrawn(
        main,
        () -> {
          main.stage().fitSelection();
          Platform.runLater(() -> press(main, "#mark-size"));
        });
  }

  /** A loaded sampler over the text that it would be stamped on. */
  private static void sampler(MainWindow main) {
    Workspace workspace = main.workspace();
    workspace.tools().toolProperty().set(Tool.SAMPLER);
    var sample =
        Sample.of(
            workspace.project(),
            workspace.project().layer(new LayerId("label-5-title")).orElseThrow(),
            0);
    var held = new Sampling(sample, Sampling.USUAL, true, false);
    workspace.tools().samplingProperty().set(Optional.of(held));
    onceDrawn(
        main,
        () -> {
          main.stage().fitAll();
          workspace.preview(held.on(new Target.Layers(List.of(new LayerId("label-6-title")))));
        });
  }

  /** A followed style that is to go, and what its followers would follow instead. */
  private static void settle(MainWindow main) {
    main.workspace()
        .attempts()
        .openDeletion(StyleDeletion.delete(List.of(new StyleId("label-title-loan"))));
    Platform.runLater(() -> press(main, "#settle-follow"));
  }

  private static void swatch(MainWindow main) {
    main.workspace().attempts().openSwatch("copper");
    main.workspace()
        .attempts()
        .review(
            new Review(
                "Change swatch \"Copper\"",
                new SetSwatch(new Swatch("copper", "Copper", Rgba.of(0xE8, 0xB0, 0x4A))),
                "Commit"));
  }

  private static void keep(MainWindow main) {
    main.workspace().select(List.of(new LayerId("label-6-title")));
    main.workspace().attempts().openKeeping();
  }

  /** A panel in columns, with what its paragraphs are set by. */
  private static void typesetting(MainWindow main) {
    LayerId id = new LayerId("panel-3-text");
    main.workspace().select(List.of(id));
    onceDrawn(
        main,
        () -> {
          main.workspace().project().artboardOf(id).map(List::of).ifPresent(main.stage()::show);
          main.workspace().selectionProperty().set(Selection.editing(id, 3, 3));
          press(main, "#fold-word-spacing-minimum");
          press(main, "#fold-hyphenate");
        });
  }

  private static void languages(MainWindow main) {
    main.workspace().select(List.of(new LayerId("languages-four")));
    onceDrawn(
        main,
        () -> {
          main.stage().fitSelection();
          press(main, "#fold-ligatures");
        });
  }

  /** A title in several coats, with what they are made of. */
  private static void finish(MainWindow main) {
    main.workspace().select(List.of(new LayerId("entrance-title")));
    onceDrawn(
        main,
        () -> {
          main.stage().fitSelection();
          unfold(main, "finish/rivets");
          unfold(main, "finish/rivets/light");
        });
  }

  /** A gradient on its strip and on the words. */
  private static void gradient(MainWindow main) {
    LayerId id = new LayerId("entrance-subtitle");
    Address fill = Address.coat("fill");
    main.workspace()
        .apply(
            SetValues.of(
                new Target.Layers(List.of(id)),
                PropertySet.EMPTY
                    .with(Properties.COAT_PAINT.at(fill), PaintKind.LINEAR)
                    .with(Properties.GRADIENT_ANGLE.at(fill), 12.0)
                    .with(
                        Properties.GRADIENT_STOPS.at(fill),
                        GradientStops.parse(
                            "#7a2f14 0%, #d98a3d 38%, swatch:enamel 72%, #0d2b33 100%"))));
    main.workspace().select(List.of(id));
    onceDrawn(
        main,
        () -> {
          main.stage().fitSelection();
          unfold(main, "finish/fill");
        });
  }

  private static void presets(MainWindow main) {
    main.workspace().select(List.of(new LayerId("web-title")));
    onceDrawn(
        main,
        () -> {
          main.stage().fitSelection();
          main.workspace().view().finishPresetsProperty().set(true);
          if (main.scene().lookup("#preset-comic") instanceof javafx.scene.Node card) {
            javafx.application.Platform.runLater(card::requestFocus);
          }
        });
  }

  private static void outlines(MainWindow main) {
    finish(main);
    main.workspace().view().outlinesProperty().set(true);
  }

  private static void unfold(MainWindow main, String address) {
    for (javafx.scene.Node node : main.scene().getRoot().lookupAll("#inspector .icon-button")) {
      if (node instanceof javafx.scene.control.Button button
          && ("Details of " + address).equals(button.getAccessibleText())) {
        button.fire();
        break;
      }
    }
    Platform.runLater(() -> scrollToFinish(main));
  }

  /** Puts the head of the finish at the top of the inspector. */
  private static void scrollToFinish(MainWindow main) {
    if (main.scene().lookup("#inspector .scroll-pane") instanceof ScrollPane pane
        && main.scene().lookup("#inspector .finish-stack") instanceof Node finish) {
      pane.applyCss();
      pane.layout();
      Node content = pane.getContent();
      double top = content.sceneToLocal(finish.localToScene(0, 0)).getY();
      double room = content.getLayoutBounds().getHeight() - pane.getViewportBounds().getHeight();
      pane.setVvalue(room <= 0 ? 0 : Math.clamp(top / room, 0, 1));
    }
  }

  private static void find(MainWindow main) {
    main.find().open();
    if (main.scene().lookup("#find-words") instanceof javafx.scene.control.TextField words) {
      words.setText("hour");
    }
    if (main.scene().lookup("#find-replacement") instanceof javafx.scene.control.TextField field) {
      field.setText("day");
    }
  }

  private static void press(MainWindow main, String query) {
    Node found = main.scene().lookup("#inspector " + query);
    Node node = found == null ? main.scene().lookup(query) : found;
    if (node instanceof ButtonBase button) {
      button.fire();
    }
  }

  private static void editing(MainWindow main) {
    LayerId id = new LayerId("panel-2-text");
    main.workspace().select(List.of(id));
    onceDrawn(
        main,
        () -> {
          main.stage().fitSelection();
          main.workspace().selectionProperty().set(Selection.editing(id, 63, 79));
        });
  }

  /** Brings the window into a state, waits until it has settled, writes the picture and leaves. */
  static void take(MainWindow main, String view, Path file) {
    pause(() -> {
      try {
        show(main, view);
      } catch (RuntimeException failed) {
        // nobody is there to see the notice
        failed.printStackTrace();
        System.exit(3);
      }
      whenSettled(
          main,
          0,
          () -> {
            if (OF_ALL_ARTBOARDS.contains(view)) {
              main.stage().fitAll();
            }
            whenSettled(main, 0, () -> write(main, file));
          });
    });
  }

  /** Brings the window into a state; some of it comes with the next frames. */
  static void show(MainWindow main, String view) {
    requireNonNull(VIEWS.get(view)).accept(main);
  }

  private static void whenSettled(MainWindow main, int tries, Runnable then) {
    pause(() -> {
      if (!main.isUpToDate() && tries < MOST_TRIES) {
        whenSettled(main, tries + 1, then);
      } else {
        then.run();
      }
    });
  }

  /** Now if the stage shows everything as it is, else with the frame that will. */
  private static void onceDrawn(MainWindow main, Runnable work) {
    if (main.stage().isUpToDate()) {
      Platform.runLater(work);
    } else {
      main.stage().afterNextFrame(work);
    }
  }

  private static void pause(Runnable then) {
    PauseTransition pause = new PauseTransition(SETTLE);
    pause.setOnFinished(_ -> then.run());
    pause.play();
  }

  private static void write(MainWindow main, Path file) {
    BufferedImage picture = withPopups(main);
    int code = 0;
    try {
      List<String> words = ShownWords.of(main.scene().getRoot());
      SafeFile.write(file, stream -> ShownWords.write(picture, words, stream));
    } catch (IOException problem) {
      System.err.println("dynamorph: " + Messages.reason(problem));
      code = 1;
    }
    Platform.exit();
    System.exit(code);
  }

  /** The window with the popups that are open over it, each where it stands. */
  private static BufferedImage withPopups(MainWindow main) {
    BufferedImage picture = SwingFXUtils.fromFXImage(main.scene().snapshot(null), null);
    var corner = main.scene().getRoot().localToScreen(0, 0);
    Graphics2D over = picture.createGraphics();
    for (Window window : Window.getWindows()) {
      if (window instanceof Popup popup && window.isShowing()) {
        SnapshotParameters clear = new SnapshotParameters();
        clear.setFill(Color.TRANSPARENT);
        Node content = popup.getContent().getFirst();
        var place = content.localToScreen(content.getBoundsInLocal());
        over.drawImage(
            SwingFXUtils.fromFXImage(content.snapshot(clear, null), null),
            (int) Math.round(place.getMinX() - corner.getX()),
            (int) Math.round(place.getMinY() - corner.getY()),
            null);
      }
    }
    over.dispose();
    return picture;
  }
}
