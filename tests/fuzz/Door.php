<?php

declare(strict_types=1);

/** Speaks to a running Lustrum as its lead, and notes each answer that should not be. */
final class Door
{
    private const EMAIL = 'maren@hollowlane.example';
    /** What may be spent on a request that is refused. */
    private const MOST_MB = 64.0;
    private const MOST_MS = 2000.0;
    private const FORMS_MOST = 60;

    /** @var list<string> one line for each, at most one for an address and what was wrong with it */
    public array $found = [];

    /** @var array<int, int> how often each status came */
    private array $statuses = [];

    /** @var array<string, true> */
    private array $said = [];

    private CurlHandle $curl;
    private string $token = '';
    private int $requests = 0;
    private int $forms = 0;
    private int $taken = 0;

    /** @var array<string, string> of the last answer */
    private array $headers = [];

    public function __construct(
        private readonly string $address,
        private readonly string $password,
        private readonly string $folder,
    ) {
        if (!is_dir($folder)) {
            mkdir($folder, 0o755, true);
        }
        $this->signIn();
    }

    public function signIn(): void
    {
        $this->curl = curl_init();
        $this->token = $this->session()['token'];
        $this->ask('POST', '/api/session', json_encode(['email' => self::EMAIL, 'password' => $this->password]), 'application/json');
        $this->token = $this->session()['token'];
    }

    /** @return array<string, mixed> */
    public function session(): array
    {
        return json_decode($this->ask('GET', '/api/session', null, '')[1], true) ?? ['token' => '', 'workspaces' => []];
    }

    /** @return array<array-key, mixed> of what has to be there */
    public function get(string $url): array
    {
        [$status, $answer] = $this->ask('GET', $url, null, '');
        $decoded = json_decode($answer, true);
        if ($status !== 200 || !is_array($decoded)) {
            $this->note('GET', $url, null, $status, 'cannot be read: '.$answer);
        }

        return is_array($decoded) ? $decoded : [];
    }

    /** A sheet or a file of something that is there. */
    public function open(string $url): void
    {
        [$status, $answer] = $this->ask('GET', $url, null, '');
        $isJson = str_contains($this->headers['content-type'] ?? '', 'json');
        // A picture that could not be made of a file is not there; a sheet always is.
        $mayLack = preg_match('#/(picture|file|rate)$#', $url) === 1;
        if (!in_array($status, $mayLack ? [200, 403, 404, 409] : [200], true) || ($isJson && json_decode($answer) === null)) {
            $this->note('GET', $url, null, $status, 'cannot be read: '.$answer);
        }
    }

    /** @return array<string, mixed>|null what was taken, as it is now */
    public function send(string $method, string $url, ?string $body, string $type = 'application/json'): ?array
    {
        [$status, $answer] = $this->ask($method, $url, $body, $type);
        $this->statuses[$status] = ($this->statuses[$status] ?? 0) + 1;
        $this->judge($method, $url, $body, $status, $answer);
        $this->taken += $method !== 'GET' && $status < 300 && $status > 0 ? 1 : 0;
        $now = $status < 300 ? json_decode($answer, true) : null;

        return is_array($now) ? $now : null;
    }

    /** A file of some kind that is none, with fields that may be anything. */
    public function form(string $url, Pool $pool): void
    {
        if (++$this->forms > self::FORMS_MOST) {
            return;
        }
        $file = (string) tempnam(sys_get_temp_dir(), 'fuzz');
        $svg = '<svg xmlns="http://www.w3.org/2000/svg" width="9999999" height="9"><text>&lol;</text></svg>';
        file_put_contents($file, Hostile::one([
            '', random_bytes(3000), "\xff\xd8\xff\xe1".random_bytes(900), 'GIF89a'.random_bytes(50), $svg, '%PDF-1.7 '.random_bytes(400),
            "RIFF\0\0\0\0WAVEfmt ".random_bytes(90), "\0\0\0\x18ftypmp42".random_bytes(400), "PK\x03\x04".random_bytes(200), '#EXTM3U'."\nfile:///etc/passwd",
        ]));
        $name = Hostile::one(['a.jpg', 'b.svg', 'c.pdf', 'd.mp4', 'e.wav', '../../f.stl', "g\u{202e}gnp.exe", str_repeat('h', 300).'.zip', '.htaccess']);
        $fields = ['revision' => (string) $pool->any('revision'), 'caption' => Hostile::one(['', 'x', str_repeat('y', 9000), "a\0b", "\xff"])];
        $fields += ['run' => Hostile::one([(string) $pool->any('run'), 'x', '']), 'workspace' => (string) $pool->any('workspace')];
        $this->options('POST', $url, '', '');
        curl_setopt_array($this->curl, [
            CURLOPT_POSTFIELDS => $fields + ['file' => new CURLFile($file, 'image/jpeg', $name)],
            CURLOPT_HTTPHEADER => ['Origin: '.$this->address, 'X-Csrf-Token: '.$this->token],
        ]);
        $answer = (string) curl_exec($this->curl);
        $status = curl_getinfo($this->curl, CURLINFO_RESPONSE_CODE);
        unlink($file);
        $this->statuses[$status] = ($this->statuses[$status] ?? 0) + 1;
        $this->judge('POST', $url, json_encode([$name, array_map('bin2hex', $fields)]) ?: '', $status, $answer);
    }

    public function isSignedIn(): bool
    {
        $session = $this->session();

        return ($session['name'] ?? null) !== null && ($session['panel'] ?? null) === null;
    }

    public function summary(self $other): string
    {
        foreach ($other->statuses as $status => $n) {
            $this->statuses[$status] = ($this->statuses[$status] ?? 0) + $n;
        }
        ksort($this->statuses);

        return implode(', ', array_map(static fn (int $s, int $n): string => "$n × $s", array_keys($this->statuses), $this->statuses))
            .sprintf('; %d writes were taken', $this->taken + $other->taken);
    }

    private function judge(string $method, string $url, ?string $body, int $status, string $answer): void
    {
        $problem = $status >= 400 ? json_decode($answer, true) : [];
        if ($status === 0 || $status >= 500) {
            $this->note($method, $url, $body, $status, $answer);
        } elseif ($status >= 400 && (!is_string($problem['detail'] ?? null) || $problem['detail'] === '')) {
            $this->note($method, $url, $body, $status, 'is refused without a sentence: '.$answer);
        } elseif ($status >= 400 && $status < 500) {
            $cost = $this->headers['x-cost'] ?? '';
            $spent = static fn (string $of): float => preg_match("/$of=([\\d.]+)/", $cost, $m) === 1 ? (float) $m[1] : 0.0;
            if ($spent('memory') > self::MOST_MB || $spent('cpu') > self::MOST_MS) {
                $this->note($method, $url, $body, $status, 'costs too much before it is refused: '.$cost);
            }
        } elseif ($status < 300 && str_contains($this->headers['content-type'] ?? '', 'json') && $answer !== '' && json_decode($answer) === null) {
            $this->note($method, $url, $body, $status, 'cannot be read: '.$answer);
        }
    }

    private function note(string $method, string $url, ?string $body, int $status, string $why): void
    {
        $plain = preg_replace('#[0-9a-f-]{36}#', '{id}', explode('?', $url)[0]);
        $key = $method.' '.$plain.' '.$status.' '.substr((string) preg_replace('#[0-9a-f-]{36}|\d+#', '', $why), 0, 60);
        if (isset($this->said[$key])) {
            return;
        }
        $this->said[$key] = true;
        $file = sprintf('%s/%05d.txt', $this->folder, $this->requests);
        file_put_contents($file, "$method $url\n".($body ?? '')."\n\n$status\n$why\n");
        $this->found[] = sprintf('%s %s: %d %s (%s)', $method, substr($url, 0, 120), $status, substr($why, 0, 200), basename($file));
    }

    /** @return array{int, string} status and answer */
    private function ask(string $method, string $url, ?string $body, string $type): array
    {
        ++$this->requests;
        $this->options($method, $url, $body ?? '', $type);
        $answer = (string) curl_exec($this->curl);

        return [curl_getinfo($this->curl, CURLINFO_RESPONSE_CODE), $answer];
    }

    private function options(string $method, string $url, string $body, string $type): void
    {
        $this->headers = [];
        curl_setopt_array($this->curl, [
            CURLOPT_URL => $this->address.$url, CURLOPT_CUSTOMREQUEST => $method, CURLOPT_POSTFIELDS => $body, CURLOPT_TIMEOUT => 60,
            CURLOPT_RETURNTRANSFER => true, CURLOPT_PATH_AS_IS => true, CURLOPT_COOKIEFILE => '',
            CURLOPT_HTTPHEADER => ["Content-Type: $type", 'Origin: '.$this->address, 'X-Csrf-Token: '.$this->token],
            CURLOPT_HEADERFUNCTION => function (CurlHandle $_, string $line): int {
                [$name, $value] = explode(':', $line, 2) + [1 => ''];
                $this->headers[strtolower(trim($name))] = trim($value);

                return strlen($line);
            },
        ]);
    }
}
