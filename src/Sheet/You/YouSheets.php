<?php

declare(strict_types=1);

namespace Lustrum\Sheet\You;

use Doctrine\ORM\EntityManagerInterface;
use Lustrum\Account\SignedIn;
use Lustrum\Account\User;
use Lustrum\Core\Wording\AccountWords;
use Symfony\Component\Clock\ClockInterface;

/** Works out the sheet of one's own account. */
final readonly class YouSheets
{
    private const DAY = 86_400;

    public function __construct(
        private EntityManagerInterface $em,
        private ClockInterface $clock,
    ) {
    }

    /** @param callable(SignedIn): bool $isHere is it the place that asks? */
    public function of(User $user, callable $isHere): YouSheet
    {
        $now = $this->clock->now();
        $rows = $idle = [];
        foreach ($this->em->getRepository(SignedIn::class)->findBy(['user' => $user], ['lastSeen' => 'DESC']) as $place) {
            if ($place->isOver($now)) {
                continue;
            }
            $view = $place->view($isHere($place));
            $days = (int) $now->diff(new \DateTimeImmutable($view->lastSeen))->days;
            if (!$view->here) {
                $idle[] = $days;
            }
            $rows[] = new SignedInRow(
                $view, AccountWords::place($view->device, $view->here),
                AccountWords::ends((int) ceil(($place->ends()->getTimestamp() - $now->getTimestamp()) / self::DAY)),
            );
        }

        return new YouSheet(
            AccountWords::sentence($user->name(), count($rows), $idle === [] ? null : max($idle)), $user->name(), $user->email(),
            $user->passwordChangedAt()?->format(\DATE_ATOM), $rows,
        );
    }
}
