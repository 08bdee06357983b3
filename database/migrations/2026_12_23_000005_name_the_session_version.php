<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

return new class extends Migration
{
    public function up(): void
    {
        Schema::table('users', static fn (Blueprint $table) => $table->renameColumn('door', 'session_version'));
    }

    public function down(): void
    {
        Schema::table('users', static fn (Blueprint $table) => $table->renameColumn('session_version', 'door'));
    }
};
