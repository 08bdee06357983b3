<?php

declare(strict_types=1);

namespace App\Ground\Support;

use Illuminate\Contracts\Session\Session;
use Illuminate\Http\Request;
use Illuminate\Session\Middleware\StartSession;
use Symfony\Component\HttpFoundation\Response;
use Throwable;

/**
 * A session that somebody ended stays ended: a request that was under way while they signed out would else write it
 * again. Phones have some under way at any time. And what a script reads besides takes no message from a page.
 */
final class KeepsSession extends StartSession
{
    /** The session that was there when the request began; null where there was none. */
    private ?string $began = null;

    /** Whether a script asks, beside the page a person went to. */
    private bool $besides = false;

    /**
     * @param  Session  $session
     * @return mixed
     */
    protected function handleStatefulRequest(Request $request, $session, \Closure $next)
    {
        $mode = $request->headers->get('Sec-Fetch-Mode');
        $this->besides = $mode !== null && $mode !== 'navigate';
        $this->began = $this->isThere($session) ? $session->getId() : null;
        if ($this->began === null) {
            // One that has ended does not begin again under its old name: what is under way would write into it.
            $session->setId('');
        }

        return parent::handleStatefulRequest($request, $session, $next);
    }

    /**
     * What a script asked for before somebody signed in may be answered after it: with a session of its own it would
     * sign them out again. Only pages hand sessions out.
     */
    protected function addCookieToResponse(Response $response, Session $session): void
    {
        if (! $this->besides && ! $this->hasEnded($session)) {
            parent::addCookieToResponse($response, $session);
        }
    }

    /**
     * What a script only reads while a page is on its way writes no session: it would take the page's messages, and
     * what was filled in, away before they are shown. And a session that nobody is told of need not be kept.
     *
     * @param  Request  $request
     */
    protected function saveSession($request): void
    {
        $reads = $this->besides && ($this->began === null || $request->isMethodSafe());
        if (! $reads && ! $this->hasEnded($request->session())) {
            try {
                parent::saveSession($request);
            } catch (Throwable $full) {
                // The page was made: it is shown, also where the disk is full.
                report($full);
            }
        }
    }

    private function hasEnded(Session $session): bool
    {
        return $this->began === $session->getId() && ! $this->isThere($session);
    }

    private function isThere(Session $session): bool
    {
        return (string) $session->getHandler()->read($session->getId()) !== '';
    }
}
