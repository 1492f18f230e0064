<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

return new class extends Migration
{
    public function up(): void
    {
        Schema::table('revisions', function (Blueprint $table): void {
            // What was learnt from it: from a mock-up in its place, from a test fit.
            $table->text('note')->nullable();
        });
    }

    public function down(): void
    {
        Schema::table('revisions', function (Blueprint $table): void {
            $table->dropColumn('note');
        });
    }
};
