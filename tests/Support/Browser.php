<?php

declare(strict_types=1);

namespace Tests\Support;

use Facebook\WebDriver\Chrome\ChromeOptions;
use Facebook\WebDriver\Exception\ElementClickInterceptedException;
use Facebook\WebDriver\Remote\DesiredCapabilities;
use Facebook\WebDriver\Remote\RemoteWebDriver;
use Facebook\WebDriver\Remote\RemoteWebElement;
use Facebook\WebDriver\WebDriverBy;
use Facebook\WebDriver\WebDriverExpectedCondition;
use RuntimeException;

/** Headless Chromium through ChromeDriver; waits for conditions, never for time. */
final class Browser
{
    private const FLAGS = ['--headless=new', '--no-sandbox', '--disable-gpu', '--disable-quic', '--no-first-run', '--disable-background-networking', '--disable-component-update', '--disable-sync', '--hide-scrollbars', '--force-device-scale-factor=1', '--disable-dev-shm-usage'];

    private const WAIT_SECONDS = 30;

    /** @var resource|null */
    private static $chromeDriver;

    private static int $port = 0;

    private static ?self $shared = null;

    private function __construct(public readonly RemoteWebDriver $driver, private readonly string $profile)
    {
    }

    public static function open(int $width = 1280, int $height = 800): self
    {
        self::startDriver();
        $profile = sys_get_temp_dir().'/amber-chrome-'.bin2hex(random_bytes(6));
        $options = (new ChromeOptions)->addArguments([...self::FLAGS, '--user-data-dir='.$profile]);
        $options->setBinary('/usr/bin/chromium');
        $wanted = DesiredCapabilities::chrome();
        $wanted->setCapability(ChromeOptions::CAPABILITY, $options);
        $browser = new self(RemoteWebDriver::create('http://127.0.0.1:'.self::$port, $wanted, 30000, 60000), $profile);
        $browser->size($width, $height);
        $browser->knowsTheWords();

        return $browser;
    }

    /** The words that are said once are met already, but for whom localStorage calls new. */
    private function knowsTheWords(): void
    {
        preg_match_all("/^    '([a-z -]+)': /m", (string) file_get_contents(dirname(__DIR__, 2).'/web/frame/terms.ts'), $found);
        $script = 'try { if (localStorage.getItem("amber.test.new") === null) { localStorage.setItem("amber.met", '.json_encode(json_encode($found[1])).'); } } catch (e) {}';
        $this->driver->executeCustomCommand('/session/:sessionId/goog/cdp/execute', 'POST', ['cmd' => 'Page.addScriptToEvaluateOnNewDocument', 'params' => ['source' => $script]]);
    }

    /** One browser for the tests of a process: each server has a port of its own, so nothing that a page kept is met again. */
    public static function shared(): self
    {
        if (self::$shared === null) {
            self::$shared = self::open();
        }
        self::$shared->driver->get('about:blank');
        self::$shared->media('');
        // What the last test's server left unanswered when it went is not the next one's.
        self::$shared->driver->manage()->getLog('browser');
        self::$shared->size(1280, 800);

        return self::$shared;
    }

    /** Sets the inside of the window, in px: told to the page itself, for a window that is pulled answers late. */
    public function size(int $width, int $height): void
    {
        $this->driver->executeCustomCommand('/session/:sessionId/goog/cdp/execute', 'POST', ['cmd' => 'Emulation.setDeviceMetricsOverride', 'params' => ['width' => $width, 'height' => $height, 'deviceScaleFactor' => 1, 'mobile' => false]]);
        $this->until(fn (): bool => $this->script('return window.innerWidth') === $width, "the window is not {$width} wide");
    }

    public function see(string $css): RemoteWebElement
    {
        return $this->driver->wait(self::WAIT_SECONDS, 100)->until(WebDriverExpectedCondition::visibilityOfElementLocated(WebDriverBy::cssSelector($css)), "not seen: {$css}");
    }

    public function click(string $css): void
    {
        $this->clickOn($this->driver->wait(self::WAIT_SECONDS, 100)->until(WebDriverExpectedCondition::elementToBeClickable(WebDriverBy::cssSelector($css)), "not to be clicked: {$css}"));
    }

    /** A button or link by its words. */
    public function press(string $words): void
    {
        $by = WebDriverBy::xpath("//*[self::button or self::a][contains(normalize-space(.), '{$words}')]");
        $this->clickOn($this->driver->wait(self::WAIT_SECONDS, 100)->until(WebDriverExpectedCondition::elementToBeClickable($by), "no button says: {$words}"));
    }

    /**
     * What lies under the edge that stays is brought into the middle first, as a hand would scroll it; and a page
     * that still shows what it kept is waited for, as it takes no press.
     */
    private function clickOn(RemoteWebElement $element): void
    {
        $this->until(fn (): bool => $this->count('[inert]') === 0, 'the page takes no press');
        try {
            $element->click();
        } catch (ElementClickInterceptedException) {
            $this->script('arguments[0].scrollIntoView({block: "center"})', [$element]);
            $element->click();
        }
    }

    public function seeText(string $css, string $words): void
    {
        $this->until(fn (): bool => str_contains($this->text($css), $words), fn (): string => "{$css} does not say \"{$words}\" but \"{$this->text($css)}\"");
    }

    public function text(string $css): string
    {
        return (string) $this->script('return Array.from(document.querySelectorAll(arguments[0])).map(e => e.textContent).join(" | ")', [$css]);
    }

    public function count(string $css): int
    {
        return (int) $this->script('return document.querySelectorAll(arguments[0]).length', [$css]);
    }

    /**
     * @param  callable(): bool  $condition
     * @param  string|\Closure(): string  $otherwise
     */
    public function until(callable $condition, string|\Closure $otherwise): void
    {
        try {
            $this->driver->wait(self::WAIT_SECONDS, 100)->until(static fn (): bool => $condition());
        } catch (\Facebook\WebDriver\Exception\TimeoutException) {
            throw new RuntimeException((is_string($otherwise) ? $otherwise : $otherwise()).' on '.$this->driver->getCurrentURL());
        }
    }

    /** Keys to whatever has the focus. */
    public function keys(string ...$keys): void
    {
        $this->driver->getKeyboard()->sendKeys($keys);
    }

    /** @param  list<mixed>  $arguments */
    public function script(string $script, array $arguments = []): mixed
    {
        return $this->driver->executeScript($script, $arguments);
    }

    /** @return list<string> what axe-core finds against WCAG 2.2 AA on the page as it stands */
    public function axe(): array
    {
        if ($this->script('return window.axe === undefined') === true) {
            $this->script((string) file_get_contents(dirname(__DIR__, 2).'/node_modules/axe-core/axe.min.js'));
        }
        $found = $this->driver->executeAsyncScript('const done = arguments[0]; axe.run(document, {runOnly: ["wcag2a", "wcag2aa", "wcag21a", "wcag21aa", "wcag22aa"]}).then(r => done(r.violations.map(v => v.id + ": " + v.nodes.map(n => n.html.slice(0, 160) + " " + n.any.map(a => a.message).join("; ")).join(" || "))));');

        return array_values($found);
    }

    /** The page as a PDF, base64, on paper of so many inches. */
    public function print(float $width, float $height): string
    {
        $answer = $this->driver->executeCustomCommand('/session/:sessionId/goog/cdp/execute', 'POST', ['cmd' => 'Page.printToPDF', 'params' => ['paperWidth' => $width, 'paperHeight' => $height, 'printBackground' => true]]);

        return (string) ($answer['data'] ?? '');
    }

    /** Shows the page as on paper ("print"), or as on the screen (""). */
    public function media(string $media): void
    {
        $this->driver->executeCustomCommand('/session/:sessionId/goog/cdp/execute', 'POST', ['cmd' => 'Emulation.setEmulatedMedia', 'params' => ['media' => $media]]);
    }

    public function close(): void
    {
        $this->driver->quit();
        exec('rm -rf '.escapeshellarg($this->profile));
    }

    private static function startDriver(): void
    {
        if (is_resource(self::$chromeDriver)) {
            return;
        }
        self::$port = Server::freePort();
        $process = proc_open(['/usr/bin/chromedriver', '--port='.self::$port], [['file', '/dev/null', 'r'], ['file', '/dev/null', 'w'], ['file', '/dev/null', 'w']], $pipes);
        if ($process === false) {
            throw new RuntimeException('ChromeDriver did not start: install chromium-driver.');
        }
        self::$chromeDriver = $process;
        register_shutdown_function(static function () use ($process): void {
            self::$shared?->close();
            proc_terminate($process);
        });
        for ($i = 0; $i < 200; $i++) {
            $socket = @fsockopen('127.0.0.1', self::$port, $errno, $error, 0.2);
            if ($socket !== false) {
                fclose($socket);

                return;
            }
            usleep(25000);
        }
        throw new RuntimeException('ChromeDriver does not answer.');
    }
}
