package dynamorph.app.journey;

import java.util.concurrent.Callable;
import java.util.concurrent.TimeUnit;
import javafx.geometry.Point2D;
import javafx.scene.input.MouseButton;
import org.testfx.api.FxRobot;
import org.testfx.robot.Motion;
import org.testfx.robot.MouseRobot;
import org.testfx.service.query.PointQuery;
import org.testfx.util.WaitForAsyncUtils;

/**
 * A robot that waits for the interface to have worked off what was asked, and no longer: what takes
 * time to show is waited for by name. Two clicks that are asked for one by one are never taken for
 * a double-click, however fast they follow.
 */
final class Hand extends FxRobot {
  /** Longer than any platform lets a double-click last. */
  private static final long DOUBLE_CLICK_MILLIS = 650;

  /** Farther than any platform lets its two clicks lie apart, in pixels. */
  private static final double DOUBLE_CLICK_REACH = 8;

  private Point2D lastPress = new Point2D(-100, -100);
  private long lastPressNanos;

  @Override
  public FxRobot interact(Runnable work) {
    WaitForAsyncUtils.waitFor(WaitForAsyncUtils.asyncFx(work));
    WaitForAsyncUtils.waitForFxEvents(1);
    return this;
  }

  @Override
  public <T> FxRobot interact(Callable<T> work) {
    WaitForAsyncUtils.waitFor(WaitForAsyncUtils.asyncFx(work));
    WaitForAsyncUtils.waitForFxEvents(1);
    return this;
  }

  @Override
  public FxRobot clickOn(PointQuery point, Motion motion, MouseButton... buttons) {
    standApart(point.query());
    super.clickOn(point, motion, buttons);
    return pressedNow();
  }

  @Override
  public FxRobot doubleClickOn(PointQuery point, Motion motion, MouseButton... buttons) {
    return clickTimes(2, point, motion, buttons);
  }

  /** Clicks so fast that they count as one double-click, or as three clicks, or more. */
  FxRobot clickTimes(int times, PointQuery point, Motion motion, MouseButton... buttons) {
    standApart(point.query());
    moveTo(point, motion);
    MouseRobot mouse = robotContext().getMouseRobot();
    MouseButton[] pressed = buttons.length == 0 ? new MouseButton[] {MouseButton.PRIMARY} : buttons;
    for (int click = 0; click < times; click++) {
      mouse.pressNoWait(pressed);
      mouse.releaseNoWait(pressed);
    }
    WaitForAsyncUtils.waitForFxEvents();
    return pressedNow();
  }

  @Override
  public FxRobot drag(PointQuery point, MouseButton... buttons) {
    standApart(point.query());
    super.drag(point, buttons);
    return pressedNow();
  }

  private void standApart(Point2D point) {
    long passed = TimeUnit.NANOSECONDS.toMillis(System.nanoTime() - lastPressNanos);
    if (point.distance(lastPress) < DOUBLE_CLICK_REACH && passed < DOUBLE_CLICK_MILLIS) {
      sleep(DOUBLE_CLICK_MILLIS - passed);
    }
    lastPress = point;
  }

  private Hand pressedNow() {
    lastPressNanos = System.nanoTime();
    return this;
  }
}
