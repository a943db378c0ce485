<?php

declare(strict_types=1);

/** Speaks to a running Lustrum as one person and remembers what each answer took. */
final class Client
{
    private CurlHandle $curl;

    private string $token = '';

    /** @var array<string, string> headers of the last answer */
    public array $headers = [];

    public int $status = 0;

    /** Bytes of the last answer as they went over the wire. */
    public int $bytes = 0;

    public function __construct(private readonly string $address)
    {
        $this->curl = curl_init();
    }

    /**
     * @param list<string> $headers
     *
     * @return array{string, float} answer and milliseconds
     */
    public function raw(string $method, string $url, ?string $body = null, array $headers = []): array
    {
        curl_setopt_array($this->curl, $this->options($method, $url, $body, $headers));
        $from = hrtime(true);
        $answer = (string) curl_exec($this->curl);
        $took = (hrtime(true) - $from) / 1e6;
        $this->status = curl_getinfo($this->curl, CURLINFO_RESPONSE_CODE);
        $this->bytes = (int) curl_getinfo($this->curl, CURLINFO_SIZE_DOWNLOAD_T);
        if ($this->status >= 400 || $this->status === 0) {
            throw new RuntimeException($method.' '.$url.': '.$this->status.' '.substr($answer, 0, 500));
        }

        return [$answer, $took];
    }

    /** @return array{mixed, float} decoded answer and milliseconds */
    public function ask(string $method, string $url, mixed $body = null): array
    {
        [$answer, $took] = $this->raw($method, $url, $body === null ? null : json_encode($body, JSON_THROW_ON_ERROR));

        return [json_decode($answer, true), $took];
    }

    public function signIn(string $password, string $email = 'maren@hollowlane.example'): string
    {
        $this->token = $this->ask('GET', '/api/session')[0]['token'];
        $session = $this->ask('POST', '/api/session', ['email' => $email, 'password' => $password])[0];
        $this->token = $session['token'];

        return $session['workspaces'][0]['id'];
    }

    /** @param array<string, string> $account */
    public function first(array $account): void
    {
        $this->token = $this->ask('GET', '/api/session')[0]['token'];
        $this->token = $this->ask('POST', '/api/first-account', $account)[0]['token'];
    }

    /**
     * Sends a small picture.
     *
     * @param bool $waits as a camera writes it, so that a worker makes it anew; else plain, so that it is kept at once
     */
    public function picture(string $build, string $id, bool $waits = false): void
    {
        $file = (string) tempnam(sys_get_temp_dir(), 'heal');
        $image = imagecreatetruecolor(60, 40);
        for ($i = 0; $i < 40; ++$i) {
            imagesetpixel($image, random_int(0, 59), random_int(0, 39), random_int(0, 0xFFFFFF));
        }
        imagejpeg($image, $file);
        if ($waits) {
            $bytes = (string) file_get_contents($file);
            file_put_contents($file, substr($bytes, 0, 2)."\xff\xe1\0\x08Exif\0\0".substr($bytes, 2));
        }
        curl_setopt_array($this->curl, $this->options('POST', '/api/photos/'.$id, null, []));
        curl_setopt_array($this->curl, [
            CURLOPT_POSTFIELDS => ['revision' => $build, 'file' => new CURLFile($file)],
            CURLOPT_HTTPHEADER => ['Origin: '.$this->address, 'X-Csrf-Token: '.$this->token],
        ]);
        curl_exec($this->curl);
        unlink($file);
        $this->status = curl_getinfo($this->curl, CURLINFO_RESPONSE_CODE);
        if (!in_array($this->status, [201, 202], true)) {
            throw new RuntimeException('The picture was not taken.');
        }
    }

    /**
     * Sends all at once over so many connections.
     *
     * @param list<array{string, string, mixed}> $asked method, address, body
     *
     * @return float seconds
     */
    public function together(array $asked, int $connections): float
    {
        $cookie = 'Cookie: '.implode(
            '; ',
            array_map(
                static fn (string $l): string => implode('=', array_slice(explode("\t", $l), 5, 2)),
                curl_getinfo($this->curl, CURLINFO_COOKIELIST),
            ),
        );
        $multi = curl_multi_init();
        $free = array_map(static fn (): CurlHandle => curl_init(), range(1, $connections));
        $bad = [];
        $send = function (CurlHandle $curl) use (&$asked, $multi, $cookie): bool {
            $next = array_shift($asked);
            if ($next === null) {
                return false;
            }
            curl_setopt_array($curl, $this->options($next[0], $next[1], json_encode($next[2], JSON_THROW_ON_ERROR), [$cookie]));
            curl_multi_add_handle($multi, $curl);

            return true;
        };
        $from = hrtime(true);
        $open = count(array_filter($free, $send));
        while ($open > 0) {
            curl_multi_exec($multi, $running);
            curl_multi_select($multi, 0.05);
            while ($done = curl_multi_info_read($multi)) {
                $curl = $done['handle'];
                if (curl_getinfo($curl, CURLINFO_RESPONSE_CODE) >= 300) {
                    $bad[] = curl_multi_getcontent($curl);
                }
                curl_multi_remove_handle($multi, $curl);
                $open -= $send($curl) ? 0 : 1;
            }
        }
        if ($bad !== []) {
            throw new RuntimeException(count($bad).' failed, the first with '.$bad[0]);
        }

        return (hrtime(true) - $from) / 1e9;
    }

    /**
     * Sends each by its own client, all in the same moment.
     *
     * @param list<array{self, string, string, mixed}> $asked client, method, address, body
     *
     * @return list<array{int, string}> status and answer of each
     */
    public static function atOnce(array $asked): array
    {
        $multi = curl_multi_init();
        $handles = [];
        foreach ($asked as [$client, $method, $url, $body]) {
            $curl = curl_init();
            $cookie = 'Cookie: '.implode(
                '; ',
                array_map(
                    static fn (string $l): string => implode('=', array_slice(explode("\t", $l), 5, 2)),
                    curl_getinfo($client->curl, CURLINFO_COOKIELIST),
                ),
            );
            curl_setopt_array(
                $curl, $client->options($method, $url, $body === null ? null : json_encode($body, JSON_THROW_ON_ERROR), [$cookie]),
            );
            curl_multi_add_handle($multi, $curl);
            $handles[] = $curl;
        }
        do {
            curl_multi_exec($multi, $running);
            curl_multi_select($multi, 0.05);
        } while ($running > 0);

        return array_map(
            static fn (CurlHandle $c): array => [curl_getinfo($c, CURLINFO_RESPONSE_CODE), (string) curl_multi_getcontent($c)], $handles,
        );
    }

    /** What the last answer says of what it took: processor ms, memory MB, statements. */
    public function cost(string $which): float
    {
        return preg_match('/'.$which.'=([\d.]+)/', $this->headers['x-cost'] ?? '', $found) === 1 ? (float) $found[1] : 0.0;
    }

    /**
     * @param list<string> $headers
     *
     * @return array<int, mixed>
     */
    private function options(string $method, string $url, ?string $body, array $headers): array
    {
        $this->headers = [];

        return [
            CURLOPT_URL => $this->address.$url, CURLOPT_CUSTOMREQUEST => $method, CURLOPT_POSTFIELDS => $body ?? '',
            CURLOPT_RETURNTRANSFER => true, CURLOPT_PATH_AS_IS => true,
            CURLOPT_COOKIEFILE => '', CURLOPT_ENCODING => 'gzip',
            CURLOPT_HTTPHEADER => ['Content-Type: application/json', 'Origin: '.$this->address, 'X-Csrf-Token: '.$this->token, ...$headers],
            CURLOPT_HEADERFUNCTION => function (CurlHandle $_, string $line): int {
                [$name, $value] = explode(':', $line, 2) + [1 => ''];
                $this->headers[strtolower(trim($name))] = trim($value);

                return strlen($line);
            },
        ];
    }
}
